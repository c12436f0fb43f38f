# frozen_string_literal: true

module App
  module Files
    module Pages
      # Where a packed studio is sent.
      class UnpackDoor
        attr_reader :error

        # error: why what was sent cannot be taken in.
        def initialize(error = nil) = @error = error
        def title = I18n.t("files.archive.unpack")
      end
    end
  end
end
