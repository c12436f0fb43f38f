# frozen_string_literal: true

module Core
  module Joins
    # Mends as sentences: what to do, where. The words stand in the locale file; here is which words, and with what.
    class MendWriter
      PHRASES = "mend_texts"
      private_constant :PHRASES

      # say: a callable (key, **values) => text, such as I18n.method(:t).
      def initialize(work, say:)
        @links = work.order.links
        @say = say
      end

      # Core::Joins::Mend => "End Smoke with a weight change on 8."
      def text(mend)
        key = mend.change == :state_edge ? edge_key(mend) : mend.change
        phrase(key, name: @links[mend.link - 1].name, at: mend.count, **words(mend.facts))
      end

      private

      def phrase(key, **values) = @say.call("#{PHRASES}.#{key}", **values)

      # Facts that are values of the body or counts, as words; others as they are.
      def words(facts) = facts.to_h { |name, value| word(name, value) }

      def word(name, value)
        case name
        when :facing then [:facing, phrase("faces.#{value}")]
        when :level then [:level, phrase("levels.#{value}")]
        when :weight then [:foot, phrase("feet.#{value == :left ? :right : :left}")]
        when :counts then [:counts, phrase("counts", count: value)]
        when :eighths then [:amount, phrase("amounts.#{value.between?(1, 4) ? value : :more}")]
        when :holds then [:holds, held(value.values)]
        else [name, value]
        end
      end

      # "2 and 4 more counts"
      def held(counts)
        phrase(counts.all?(1) ? "held.one" : "held.other", counts: counts.uniq.sort.join(phrase("and")))
      end

      # An edge is stated by what it states; hands may be empty.
      def edge_key(mend)
        what, value = mend.facts.first
        what == :hands && value.empty? ? "state_edge.empty" : "state_edge.#{what}"
      end
    end
  end
end
