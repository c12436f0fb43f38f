# frozen_string_literal: true

module Formats
  # Root of everything a format raises on purpose.
  class Error < StandardError; end

  # Raised when a file is not right; faults are texts, each with its path: "tasks[2].minutes: must be …".
  class FaultyFile < Error
    attr_reader :faults

    def initialize(faults)
      @faults = faults
      super(faults.join("\n"))
    end
  end
end
