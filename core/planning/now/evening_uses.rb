# frozen_string_literal: true

module Core
  module Planning
    # What an evening can be used for that nobody is called to: what runs is run, what goes wrong is cleaned, then what
    # fades is danced again, the few who have not seen something see it, and last something new comes early.
    class EveningUses
      # Kinds of offers in this order; a join is nearly new.
      ORDER = %w[run drill review catch_up join learn].freeze
      EACH = 2
      private_constant :EACH

      # next_best: NextBest over the minutes and people of the evening.
      def initialize(next_best) = @next_best = next_best

      # [NextBest::Offer], at most two of a kind.
      def all
        found = [*@next_best.run, *@next_best.offers(most: 60)].group_by(&:kind)
        ORDER.flat_map { |kind| found.fetch(kind, []).first(EACH) }
      end
    end
  end
end
