# frozen_string_literal: true

module Formats
  # call-order-1 and call-order-result-1: the order of items within one rehearsal.
  module CallOrder
    NAME = "call-order-1"
    RESULT = "call-order-result-1"

    # Text => [Core::Planning::CallOrder, notes]. Raises FaultyFile.
    def self.parse(text)
      report = Fields.report
      fields = Fields.new(JsonText.parse(text, format: NAME), "", report)
      durations = fields.integers("durations", min: 1, max: 10_000)
      calls = fields.texts("calls", default: Fields::MISSING) || []
      calls.each_with_index { |row, i| check(fields, row, i, durations.size) }
      fields.close
      report.finish
      [Core::Planning::CallOrder.new(durations, calls), report.notes]
    end

    def self.check(fields, row, index, size)
      return if row.match?(/\A[01]{#{size}}\z/)

      fields.fault("calls[#{index}]", "must be #{size} digits 0 or 1, one for each item, got #{Fields.shown(row)}")
    end
    private_class_method :check

    def self.render(answer)
      JSON.generate("format" => RESULT, "order" => answer.order, "waiting" => answer.waiting, "proven" => answer.proven,
                    "by_person" => answer.by_person)
    end
  end
end
