# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Lengths in bars: known once somebody says how many counts a bar has; asked once for the whole piece.
      class Bars
        MOST = 3
        CHOICES = [3, 4, 8].freeze
        private_constant :MOST, :CHOICES

        # per_bar: counts of a bar, or nil.
        def initialize(draft, lines, per_bar)
          @draft = draft
          @lines = lines.to_h { |line| [line.number, line.text] }
          @per_bar = per_bar
        end

        def fill
          open = @draft.sections.select { |section| section.rows.empty? && number(section) }
          return if open.empty?
          return open.each { |section| settle(section) } if @per_bar

          @draft.note(open.first.line, :bars, open.first.open, ways: ways(open))
        end

        private

        def number(section) = section.open && Length.find(section.open)&.first&.bars

        def settle(section)
          section.rows = Length.eights(number(section) * @per_bar)
          section.open = nil
        end

        def ways(open)
          CHOICES.map do |counts|
            lines = open.to_h do |each|
              [each.line, @lines[each.line].sub(each.open, "#{number(each) * counts} counts")]
            end
            Waiting::Way.new(kind: :counts, label: counts.to_s, lines:)
          end
        end
      end

      # Lengths from where things stand in the music ("0:45-1:10", or until the next one), where the tempo is known.
      class Clock
        # Seconds are typed whole: within so many counts it is a whole number of eights.
        NEAR = 2
        private_constant :NEAR

        def initialize(draft, lines, bpm)
          @draft = draft
          @lines = lines.select(&:from)
          @bpm = bpm
        end

        def fill
          return unless @bpm

          @lines.each_with_index { |line, i| fill_one(line, line.to || @lines[i + 1]&.from) }
        end

        private

        def fill_one(line, to)
          made = @draft.account(line.number).links
          section = @draft.sections[made.first.section] if made.size == 1
          return unless section && section.rows.empty? && section.open.nil? && to && to > line.from

          counts = ((to - line.from) * @bpm / 60.0).round
          whole = (counts / 8.0).round * 8
          section.rows = Length.eights((whole - counts).abs <= NEAR && whole.positive? ? whole : counts)
          @draft.findings.reject! { |found| found.kind == :no_length && found.line == line.number }
        end
      end
    end
  end
end
