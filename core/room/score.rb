# frozen_string_literal: true

module Core
  module Room
    # A piece as the caller counts it: every count with its second in the music and what is called on it, cue words, the
    # eights, and what comes next.
    #
    #   Score.new(work, danced:).links.first.counts.first  # => second 0.0, called 1, eight 1
    class Score
      # seconds: when it sounds at tempo; called: its number; eight: which of the link, from 1; first: whether it begins
      # the eight.
      Count = Struct.new(:seconds, :called, :eight, :first, keyword_init: true)
      # count: of the link, from 1 (fractional), on which it falls; text: what to say.
      Cue = Struct.new(:count, :text, keyword_init: true)
      # index, name: of the link; counts: [Count]; cues: [Cue]; ends: the second at which the next link begins; lanes:
      # {group id => [[from, to, doing], …]} where groups do not all dance the same counts.
      Link = Struct.new(:index, :name, :occurrence, :occurrences, :counts, :cues, :ends, :lanes, keyword_init: true)

      def initialize(work, danced:)
        @work = work
        @danced = danced
      end

      # [Link], in running order.
      def links = @links ||= @work.order.links.map { |placed| link(placed) }

      # Seconds of so many beats of count-in before a link.
      def count_in(index, beats = @work.count_in)
        beat = @work.order.links[index - 1].start_beat
        map.seconds_at(beat) - map.seconds_at(beat - beats)
      end

      private

      def map = @work.track.map

      def link(placed)
        lines = @danced.link_lines(placed.link)
        Link.new(
          index: placed.index, name: placed.name, occurrence: placed.occurrence, occurrences: placed.occurrences,
          counts: counts(placed, lines), cues: cues(placed, lines), lanes: lanes(placed, lines),
          ends: map.seconds_at(placed.start_beat + placed.link.beats)
        )
      end

      # Counts of the eights as they are danced first, then those that groups still take until the last is done.
      def counts(placed, lines)
        lead = lead(placed)
        own = waited(lead, 0) + lines.flat_map.with_index { |line, i| called(line, i + 1) }
        own += waited(placed.counts - own.size, lines.size + 1)
        own.first(placed.counts).each_with_index.map do |(number, eight, first), i|
          Count.new(seconds: seconds(placed, i), called: number, eight:, first:)
        end
      end

      # [[number called, eight, whether it begins it], …] of counts that lie outside the eights.
      def waited(counts, eight)
        Array.new([counts, 0].max) { |i| [(i % 8) + 1, eight + (i / 8), (i % 8).zero?] }
      end

      # Counts before the first group begins.
      def lead(placed) = [placed.section.parts.map(&:offset).min || 0, 0].max
      def seconds(placed, offset) = map.seconds_at(placed.start_beat + (offset * placed.section.beats_per_count))

      # [[number called, eight, whether it begins it], …] of a line.
      def called(line, eight)
        Array.new(line.counts) { |i| [((i + line.called - 1) % [line.counts, 8].max) + 1, eight, i.zero?] }
      end

      def cues(placed, lines)
        at = lead(placed)
        found = lines.zip(placed.link.danced).flat_map do |line, danced|
          from = at
          at += line.counts
          named = danced.row.name == "" ? [] : [Cue.new(count: from + 1, text: danced.row.name)]
          named + line.cues.map { |text, position| Cue.new(count: from + 1 + (position/12r), text:) }
        end
        found.uniq { |cue| [cue.count, cue.text] }
      end

      def lanes(placed, lines)
        return {} if placed.section.parts.empty?

        Floor::Lanes.new(placed, lines, @work.groups.map(&:first)).by_group.transform_values do |own|
          own.map { |lane| [lane.from, lane.to, lane.doing] }
        end
      end
    end
  end
end
