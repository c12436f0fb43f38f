# frozen_string_literal: true

module App
  module Steps
    module Pages
      # The eights of a section as they are drawn: each line with its moves on their counts, the body under them, and
      # what groups dance of their own.
      class DrawnEights
        # groups: what groups dance of their own, each an Eight with a name; said: what else it says of groups.
        Eight = Struct.new(
          :number, :row, :line, :picture, :start, :at, :faults, :groups, :name, :said, keyword_init: true
        ) do
          # What nobody knows of it, as typed: moves and other words.
          def kept = line.kept
        end

        # An eight to be filled in, for the screen to copy.
        def self.blank
          row = Core::Piece::Row.new(counts: 8)
          line = Core::Movement::Line.new(counts: 8)
          picture = EightPicture.new(line, Core::Movement::Walk.new([line]), 1).svg
          Eight.new(number: 0, row:, line:, picture:, faults: [], groups: [])
        end

        # section: as typed; work: the piece it stands in; first: the Piece::PlacedLink that dances it first, or nil.
        def initialize(section, work, first:, vocabulary:)
          @section = section
          @work = work
          @first = first
          @vocabulary = vocabulary
        end

        # [Eight]
        def all = @all ||= @section.rows.each_with_index.map { |row, i| eight(row, i) }

        def lines = danced.lines(@section)
        def walk = @walk ||= danced.section_walk(@section)
        def layers = lines.flat_map(&:moves).map(&:layer).uniq.sort

        # Versions that are written into an eight itself: [[eight, text, at, length], …].
        def inline_versions
          all.flat_map { |eight| eight.line.versions.map { |_, text, at, length| [eight.number, text, at, length] } }
        end

        def hazards
          steps = lines.flat_map(&:moves).filter_map { |move| move.step && @vocabulary.find(move.step) }
          steps.flat_map(&:hazards).uniq
        end

        # How groups with steps of their own end: [[name, [text]], …].
        def group_endings
          group_walks.map { |group, (_, walk)| [group_name(group), Shared::Wording.ending(walk.exit)] }
        end

        private

        def danced
          @danced ||= begin
            sections = @work.sections.map { |each| each.id == @section.id ? @section : each }
            Core::Piece::Danced.new(@work.with(sections:, links: []), vocabulary: @vocabulary)
          end
        end

        def eight(row, index)
          offset = @section.rows.first(index).sum(&:counts)
          own = { groups: own_eights(row, index), said: group_words(row, index + 1) }
          Eight.new(**drawn(row, lines[index], walk, index + 1), **own, start: start(offset), at: time(offset))
        end

        def drawn(row, line, walk, number)
          { number:, row:, line:, picture: EightPicture.new(line, walk, number, vocabulary: @vocabulary).svg,
            faults: line.faults.map { |fault| Shared::Wording.line_fault(fault) } }
        end

        def start(offset) = @first && (@first.start_count + offset)

        def time(offset)
          beat = @first && (@first.start_beat + (offset * @section.beats_per_count))
          beat && Formats::Times.tenth(@work.track.map.seconds_at(beat))
        end

        # {group id => [its lines, their walk]} of those with steps of their own.
        def group_walks
          @group_walks ||= @section.own_groups.to_h do |group|
            own = @section.of_group(group)
            [group, [danced.lines(own), danced.section_walk(own)]]
          end
        end

        def group_name(group) = @section.cast_groups.to_h[group]

        def own_eights(row, index)
          own = group_walks.select { |group, _| @section.own?(group, row) }
          own.map do |group, (lines, walk)|
            Eight.new(**drawn(row, lines[index], walk, index + 1), name: group_name(group), groups: [])
          end
        end

        # What an eight says of groups beside their steps, and what of it is open.
        def group_words(row, number)
          said = Core::Piece::Section.said(row, @section.cast_groups)
          texts = said.any? ? said.texts.first(said.texts.size - said.own.size) : []
          return [] if texts.empty? && said.own.empty?

          open = @section.asked.select { |asked| asked.row == number }
          [*open.map { |asked| I18n.t("steps.groups.#{asked.kind}", said: asked.said) }, *beside(texts.join(", "))]
        end

        # How far the lines that stand beside the steps say it: by hand, from these words, or not.
        def beside(texts)
          return [] if texts.empty?
          return [I18n.t("steps.groups.said", said: texts)] if @section.parts_said?

          @section.parts.any? ? [I18n.t("steps.groups.by_hand", said: texts)] : []
        end
      end
    end
  end
end
