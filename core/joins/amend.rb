# frozen_string_literal: true

module Core
  module Joins
    # Types a change into the eight at a side of a seam, in words, so that it reads as meant: the words are added where
    # the line leaves room for that, else the eight is written out. Answers a Draft or nil when no words would do.
    # Positions are twelfths on the line; sides and facings are those danced there (on a mirrored link the row says the
    # other).
    class Amend
      # text: for the section's row; line: as it would then be danced at this side.
      Draft = Struct.new(:text, :line)
      WRITTEN_ELSEWHERE = [Movement::Reader::OTHER_SIDE, Movement::Reader::REPEAT, Movement::Reader::BORROWED].freeze
      private_constant :WRITTEN_ELSEWHERE

      def initialize(side)
        @side = side
        @typed = side.typed_row
        @plain = side.mirrored? ? Movement::Mirror.line(side.line) : side.line
      end

      # A further move from a position (to the end of the count at another).
      def add(words, from, to = nil)
        said = own(words)
        label = [from, to].compact.map { |at| called(at) }.join("-")
        moves = alone(said, from, to) or return
        draft(@plain.moves + moves, ["#{@typed.text} #{label} #{said}", "#{@typed.text}, #{said} #{label}"])
      end

      # Other words for one move, on its own counts.
      def replace(move, words)
        at = @side.line.moves.index(move)
        said = own(words)
        moves = alone(said, move.at) or return
        old = @plain.moves[at].text
        whole = /(?<![[:alnum:]])#{Regexp.escape(old)}(?![[:alnum:]])/
        draft(
          @plain.moves.dup.tap { |all| all[at, 1] = moves },
          [
            @typed.text.sub(
              /#{whole}(?!.*#{whole})/,
              said
            )
          ]
        )
      end

      def remove(move)
        at = @side.line.moves.index(move)
        draft(@plain.moves.dup.tap { |all| all.delete_at(at) }, [])
      end

      # Other statements of the eight's end ({weight: :left}).
      def state(values)
        stated = @plain.exit.merge(@side.mirrored? ? Piece::Danced.turned(values) : values)
        draft(@plain.moves, [], exit: stated)
      end

      # The eight on its other side.
      def turned_over
        line = Movement::Mirror.line(@plain)
        settle(Movement::Writer.new(line).text, line)
      end

      private

      # A place between counts is called by its part alone: "& close L" after the count before it.
      def called(position)
        if (position % 12).zero?
          Movement::Writer.new(@plain).name(position)
        else
          Movement::Writer::NAMES.fetch(position % 12)
        end
      end

      def own(words) = @side.mirrored? ? Movement::Mirror.text(words) : words

      # The words read by themselves, put at a position.
      def alone(words, from, to = nil)
        said = to ? "1-2 #{words}" : "1 #{words}"
        moves = reader.read(said, counts: @plain.counts).first.moves
        return unless moves.size == 1 && moves.first.kind != :unknown

        move = moves.first
        length = to ? to - from + 12 : move.length
        [
          move.with(
            at: from,
            length:,
            places: move.places.map { |place| place + from },
            said: to ? (from..to).step(12).to_a : [from],
            range: !to.nil?
          )
        ]
      end

      def draft(moves, texts, exit: @plain.exit)
        wanted = @plain.with(moves:, exit:)
        texts = [] if WRITTEN_ELSEWHERE.any? { |pattern| pattern.match?(@typed.text) }
        [*texts, Movement::Writer.new(wanted).text].each do |text|
          found = settle(text, wanted)
          return found if found
        end
        nil
      end

      # A draft, when the text reads as wanted.
      def settle(text, wanted)
        return if text.length > 1000

        lines = reader.read(text, counts: @plain.counts)
        line = lines.first
        unless lines.size == 1 && line.counts == wanted.counts && line.exit == wanted.exit &&
            line.groups&.texts == wanted.groups&.texts &&
            line.moves.map(&:meaning) == wanted.moves.map(&:meaning)
          return
        end

        Draft.new(text, @side.mirrored? ? Movement::Mirror.line(line) : line)
      end

      def reader = @side.reader
    end
  end
end
