# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # A line that waits, with the ways in which it may have been meant.
      class Waiting
        # kind: :section, :repeat, :remark, or :typed; label: words of the way; lines: {number => text to stand
        # there}.
        Way = Struct.new(:kind, :label, :lines, keyword_init: true)

        def initialize(line, draft)
          @line = line
          @draft = draft
        end

        # The line waits for an answer; typed: ways as they would be typed.
        def ask(kind, subject, hint: nil, typed: [])
          ways = typed.map { |text| Way.new(kind: :typed, label: text, lines: { @line.number => text }) }
          @draft.wait(@line.number, @line.text, kind, subject, hint:, ways: ways + general(typed))
          true
        end

        private

        def general(typed)
          [(section if typed.empty?), (repeat if typed.empty?), remark].compact
        end

        def section
          name = @line.said.delete("(),;").gsub(/\s+/, " ").strip[0, StructureReader::MAX_NAME].to_s.strip
          return if name.empty? || @draft.at(name)

          Way.new(kind: :section, label: name, lines: { @line.number => "#{name}, length not known" })
        end

        def repeat
          last = @draft.links.last or return
          name = named || @draft.sections[last.section].name
          Way.new(kind: :repeat, label: name, lines: { @line.number => "#{name}, again" })
        end

        # The section whose name stands in the line.
        def named
          text = " #{@draft.fold(@line.said)} "
          @draft.sections.map(&:name).select { |name| text.include?(" #{@draft.fold(name)} ") }.max_by(&:length)
        end

        def remark
          Way.new(kind: :remark, label: nil, lines: { @line.number => "(#{@line.text.delete('()')})" })
        end
      end
    end
  end
end
