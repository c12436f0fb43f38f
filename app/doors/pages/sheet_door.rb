# frozen_string_literal: true

module App
  module Doors
    module Pages
      # What the code of a dancer's sheet leads to. It names nobody: a sheet may have been lost.
      class SheetDoor
        attr_reader :code, :error

        def initialize(code, error: nil)
          @code = code
          @error = error
        end

        def title = I18n.t("sheet_door.title")
      end
    end
  end
end
