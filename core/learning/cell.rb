# frozen_string_literal: true

module Core
  module Learning
    # Where one person stands with one item, folded from their entries in the order they were made.
    # rung: the highest not taken back; days: separate days danced at tempo or better; changed: the counts
    # were changed since they last danced it.
    class Cell < Values::Value.of(rung: 0, days: 0, last_danced_on: nil, signed_off: false, changed: false)
      TEMPO = Ladder::DEFAULT.index("tempo")

      # entries: [Entry] of one person and item, oldest first.
      def self.fold(entries)
        undone = entries.filter_map(&:undoes)
        valid = entries.reject { |entry| entry.kind == "undone" || undone.include?(entry.id) }
        lifting = valid.select { |entry| Entry::LIFTING.include?(entry.kind) }
        danced = lifting.select { |entry| entry.rung >= TEMPO }.map(&:day).uniq
        new(rung: lifting.map(&:rung).max || 0, days: danced.size, last_danced_on: lifting.map(&:day).max,
            signed_off: valid.any? { |entry| entry.kind == "signed_off" }, changed: changed?(valid))
      end

      # Whether something was changed and not danced since. entries: [Entry] in order.
      def self.changed?(entries)
        last = entries.rindex { |entry| entry.kind == "changed" }
        !last.nil? && entries.drop(last + 1).none? { |entry| Entry::LIFTING.include?(entry.kind) }
      end
      private_class_method :changed?

      # A state of Freshness on a day.
      def freshness(today) = Freshness.new(days:, last_danced_on:).on(today)
    end
  end
end
