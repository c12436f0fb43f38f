# frozen_string_literal: true

module App
  module Shared
    # What a file that was sent is called, without the way to it and without what no name holds.
    module FileName
      MOST = 120

      # nil where nothing is left.
      def self.of(given)
        name = given.to_s.scrub("?").delete("\0").tr("\\", "/")
        File.basename(name)[0, MOST].presence
      end
    end
  end
end
