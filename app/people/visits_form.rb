# frozen_string_literal: true

module App
  module People
    # The dates a choreographer can come: a list, merged date by date.
    module VisitsForm
      module_function

      # dates: those typed, as ISO texts; nil for the list as it stands.
      def of(person, dates = nil, was: nil)
        now = person.visits.order(:date).pluck(:date).to_h { |date| [date.iso8601, "1"] }
        return Shared::OpenForm.new(now) unless dates

        known = Shared::OpenForm.memory(was).keys
        rows = (known | dates).to_h { |date| [date, dates.include?(date) ? "1" : ""] }
        Shared::OpenForm.new(now, sent: { **rows, "was" => was })
      end
    end
  end
end
