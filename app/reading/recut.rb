# frozen_string_literal: true

module App
  module Reading
    # Sections that were changed after they were taught: which of their eights most of those who had them have to be
    # shown anew, by the log.
    class Recut
      # Of those who were shown a section, so many have the old counts.
      MOST = 0.5
      private_constant :MOST

      # items: Core::Learning::Items; progress: Core::Learning::Progress.
      def initialize(piece, items, progress)
        @piece = piece
        @items = items
        @progress = progress
      end

      # {item key => [number of an eight]}
      def eights
        return {} if marked.empty?

        @eights ||= noted.group_by(&:first)
          .transform_values { |rows| rows.flat_map { |_, note| numbers(note) }.uniq.sort }
          .reject { |_, eights| eights.empty? }
      end

      # {item key => [person id]} of those who have the old counts.
      def people = marked

      private

      def marked
        @marked ||= @items.all.select { |item| item.kind == :section }.uniq(&:key)
          .to_h { |item| [item.key, old_counts(item)] }.reject { |_, people| people.empty? }
      end

      def old_counts(item)
        shown = @items.dancers(item).select { |who| @progress.rung(who, item.key).positive? }
        old = shown.select { |who| @progress.cell(who, item.key).changed }
        old.size >= shown.size * MOST ? old : []
      end

      # [[item key, note]] of what changed since it was last danced.
      def noted
        rows = @piece.ledger_entries.where(kind: "changed", item_key: marked.keys).order(:seq)
        danced = @piece.ledger_entries.where(kind: Core::Learning::Entry::LIFTING, item_key: marked.keys)
          .group(:item_key, :person_id).maximum(:seq)
        rows.select { |row| marked[row.item_key].include?(row.person_id) }
          .select { |row| row.seq > danced.fetch([row.item_key, row.person_id], 0) }
          .map { |row| [row.item_key, row.note] }.uniq
      end

      # "eights 4, 5 changed" => [4, 5]; of a change at an edge nothing is to be shown anew.
      def numbers(note)
        before, after = I18n.t("steps.note", eights: "\n").split("\n", 2)
        return [] unless note.start_with?(before) && note.end_with?(after)

        note.delete_prefix(before).delete_suffix(after).scan(/\d+/).map(&:to_i)
      end
    end
  end
end
