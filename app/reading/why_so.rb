# frozen_string_literal: true

module App
  module Reading
    # Why an evening of a plan is as it is, in sentences: what is paid for so that the rest goes.
    class WhySo
      Identifiers = Records::Mapping::Identifiers
      private_constant :Identifiers
      MOST = 3

      # people: {id => Records::Person}.
      def initialize(plan, draft, people)
        @plan = plan
        @draft = draft
        @people = people
      end

      # [sentence]; empty where nobody is called.
      def of(rehearsal)
        evening = found.evening(Identifiers.window(rehearsal.id)) or return []
        [waiting(evening), *short(evening), *away(rehearsal), *prices(evening)]
      end

      private

      def found
        @found ||= PlannedSlots.new(@plan, @draft.season)
          .then { |ahead| Core::Planning::WhySo.new(ahead.problem, ahead.placements) }
      end

      def name(id) = @people[Identifiers.row(id)]&.name.to_s

      def waiting(evening)
        return I18n.t("why_so.nobody_waits", count: evening.came) unless evening.longest

        who, minutes = evening.longest
        I18n.t("why_so.waits", name: name(who), minutes:, average: (evening.waiting.to_f / evening.came).round)
      end

      # Those who teach little that evening.
      def short(evening)
        evening.short.first(MOST).map { |who, minutes| I18n.t("why_so.short", name: name(who), minutes:) }
      end

      # Who is away all evening, by what they said.
      def away(rehearsal)
        ids = Records::Absence.whole_days(@plan.studio, rehearsal.date) & @draft.tasks.flat_map(&:dancers).uniq
        names = ids.filter_map { |id| @people[id]&.name }.sort
        names.any? ? [I18n.t("why_so.away", names: Shared::Lists.of(names, 4), count: names.size)] : []
      end

      def prices(evening)
        evening.prices.first(MOST).map { |name, minutes| I18n.t("why_so.#{name}", minutes:) }
      end
    end
  end
end
