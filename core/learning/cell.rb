# frozen_string_literal: true

module Core
  module Learning
    # Where one person stands with one item on one strand, folded from their entries in the order they were made.
    # rung: the highest not taken back; days: separate days danced at tempo or better; clean: how often it was danced at
    # a rung that counts as learned; reviewed: whether a clip of it was; reported: the rung the dancer says, 0 once a
    # teacher has answered; changed: the counts were changed since they last danced it.
    class Cell < Values::Value.of(rung: 0, days: 0, last_danced_on: nil, signed_off: false, changed: false, clean: 0,
                                  reviewed: false, reported: 0)
      TEMPO = Ladder::DEFAULT.index("tempo")

      # entries: [Entry] of one person, item and strand, oldest first; learned_from: the rung that counts as learned.
      def self.fold(entries, learned_from: Ladder::DEFAULT.learned_from)
        valid = standing(entries)
        lifting = valid.select { |entry| Entry::LIFTING.include?(entry.kind) }
        refreshing = valid.select { |entry| Entry::REFRESHING.include?(entry.kind) }
        new(
          rung: lifting.map(&:rung).max || 0,
          days: days_at_tempo(refreshing),
          last_danced_on: refreshing.map(&:day).max,
          signed_off: valid.any? { |entry| entry.kind == "signed_off" },
          changed: changed?(valid),
          clean: valid.count { |entry| Entry::CLEAN.include?(entry.kind) && entry.rung >= learned_from },
          reviewed: valid.any? { |entry| entry.kind == "clip_reviewed" && entry.rung >= learned_from },
          reported: reported(valid)
        )
      end

      # Separate days on which it was danced at tempo or better.
      def self.days_at_tempo(entries) = entries.select { |entry| entry.rung >= TEMPO }.map(&:day).uniq.size

      # Entries that were not taken back, and are no taking back themselves.
      def self.standing(entries)
        undone = entries.filter_map(&:undoes)
        entries.reject { |entry| entry.kind == "undone" || undone.include?(entry.id) }
      end

      # Whether something was changed and not danced since. entries: [Entry] in order.
      def self.changed?(entries)
        last = entries.rindex { |entry| entry.kind == "changed" }
        !last.nil? && entries.drop(last + 1).none? { |entry| Entry::LIFTING.include?(entry.kind) }
      end

      # What the dancer reported last, unless a teacher has said something since.
      def self.reported(entries)
        last = entries.rindex { |entry| entry.kind == "self_reported" } or return 0
        answered = entries.drop(last + 1).any? { |entry| Entry::ANSWERING.include?(entry.kind) }
        answered ? 0 : entries[last].rung
      end
      private_class_method :changed?, :reported, :days_at_tempo

      # A state of Freshness on a day.
      def freshness(today) = Freshness.new(days:, last_danced_on:).on(today)
    end
  end
end
