# frozen_string_literal: true

module Formats
  # Root of everything a format raises on purpose.
  class Error < StandardError; end

  # Raised when a file is not right; faults are texts, each with its path: "tasks[2].minutes: must be …".
  class FaultyFile < Error
    # Letters of a fault; what it quotes of the file may be longer, and is cut in its middle.
    LONGEST = 300

    attr_reader :faults

    def initialize(faults)
      @faults = faults.map { |fault| fault.size > LONGEST ? "#{fault[0, 200]} … #{fault[-80..]}" : fault }
      super(@faults.join("\n"))
    end
  end
end
