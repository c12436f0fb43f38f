# frozen_string_literal: true

module Core
  module Piece
    # One place in the running order where a section is danced: as taught, mirrored or altered. called: a name of its
    # own ("Verse 2", danced as "Verse 1" is), or "".
    class Link < Values::Value.of(:section, id: nil, mirrored: false, changes: Changes::NONE, called: "")
      # danced: the eights as danced here, Changes::Danced in order. counts: until its last group is done.
      attr_reader :danced, :counts

      # Whether it is danced with changes.
      def altered? = !changes.plain?

      # Whether its last eight as danced has words, or how the body is there was stated.
      def end_written? = section.exit.any? || !danced.last&.row&.text.to_s.strip.empty?

      # The same of its first eight.
      def begin_written? = section.entry.any? || !danced.first&.row&.text.to_s.strip.empty?

      # Counts of the link's eights that a group dances in its own way: [count].
      def own_counts(group)
        start = 0
        danced.flat_map do |each|
          from = start
          start += each.row.counts
          section.own?(group, each.row) ? ((from + 1)..start).to_a : []
        end
      end

      # The link as one group dances it, where it has steps of its own.
      def of_group(group)
        turn = ->(rows) { rows.map { |row| section.row_of(group, row) } }
        own = changes.with(
          replace: changes.replace.transform_values { |row| section.row_of(group, row) },
          insert_after: changes.insert_after.transform_values(&turn)
        )
        other = section.parts.find { |part| part.group == group }&.mirrored
        with(section: section.of_group(group), changes: own, mirrored: other ? !mirrored : mirrored)
      end

      # What it is called: by a name of its own, or by its section's.
      def name = called.empty? ? section.name : called

      # The eights of its section that alone are danced, [first, last], where only a stretch is; else nil.
      def only
        return unless changes.replace.empty? && changes.insert_after.empty? && changes.drop.any?

        kept = [*1..section.rows.size] - changes.drop
        [kept.first, kept.last] if kept.any? && kept == [*kept.first..kept.last]
      end

      # Beats of the music it takes (Rational).
      def beats = counts * section.beats_per_count

      private

      def settle
        @danced = changes.apply(section.rows).freeze
        own = danced.sum { |each| each.row.counts }
        @counts = section.parts.map { |part| part.length(own) }.max || own
      end
    end
  end
end
