# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # Words laid on their counts: moves, repeats, notes, what stands in brackets.
      module Saying
        private

        # A group of words on its counts.
        def say(group, positions)
          before = @moves.size
          said = @moves.any? && Repeats.of(group.words)
          return once_more(said, group, positions) if said
          return if @moves.any? && again_but_held?(group, positions)
          return if @moves.any? ? of_before?(group, positions) : first_there?(group, positions)

          speak(group, positions)
          @said_last = @moves.size - before
          @open = positions.empty? && @moves.size > before ? @moves.size - before : nil
        end

        def once_more(said, group, positions)
          heard(group)
          more = group.times ? group.times - 1 : (group.amount || said.more)
          unit = unit(said, group)
          moves = Repeats.new(@moves.last(unit), @size * 12)
            .again([more, 1].max, positions:, turned: said.turned, side: said.side)
          open = said.those || %w[switch change].include?(group.words.last.value)
          @moves.concat(open ? those(moves) : moves)
          @unit = unit
          @kept[:words] = true
        end

        # "step touch R, same L, same R": a side names what was danced once, and not its repeat too.
        def unit(said, group)
          whole = said.side.nil? || @unit.nil? || group.words.any? { |token| %w[all whole].include?(token.value) }
          whole ? @moves.size : @unit
        end

        # "three more of those": how much of what was danced that is, and which foot it begins with, nobody says.
        def those(moves)
          return moves if moves.empty?

          open = @moves.size > 3 ? %i[weight facing] : %i[weight]
          [*moves[0...-1], moves.last.with(doubts: moves.last.doubts | open)]
        end

        def again(group) = @moves.concat(repeats.again([group.times - 1, 0].max))

        def repeats = Repeats.new(@moves.dup, @size * 12)

        def speak(group, positions)
          found = phrase(group)
          @facts[:entry] = found.entry.merge(@facts[:entry]) unless parted?
          @facts[:exit].merge!(found.exit)
          return without_moves(group, found, positions) if found.moves.empty? || label?(group, found)
          return aside(group) if group.label && positions.empty? && title?(found)

          say_moves(group, found, positions)
        end

        def say_moves(group, found, positions)
          heard(group) { |at| !found.strange.include?(at) }
          return @only = found.moves.first.layer if group.label && found.moves.all? { |move| generic?(move) }
          return if found.moves.size == 1 && Bracketed.new(@moves, found).beside(open: positions.empty? && @behind)

          dance(group, found, positions)
        end

        def without_moves(group, found, positions)
          return named_thing(group, positions) if named_thing?(group, found, positions)
          return aside(group) unless without_moves?(group, found, positions)

          stated = found.lead || found.entry.any? || found.exit.any?
          heard(group) { |at| !stated || found.stated.include?(at) }
        end

        # Whether words without a move say something of what was danced before.
        def without_moves?(group, found, positions)
          return led(group, found.lead) || true if found.lead

          counted = group.amount ? Times.new([], group, @moves).all : []
          return put(counted, positions) || true if counted.any?

          if onward?(group) && (positions.any? || group.amount)
            put(onward(group.amount || 1), positions)
            return true
          end
          found.entry.any? || found.exit.any?
        end

        def dance(group, found, positions)
          return instead(group, found.moves) if instead?(group)

          @spoke = @moves.size
          @unit = nil
          return put([one_of(found.moves, said(group))], positions) if found.moves.size > 1 && chosen?(group)

          put(danced(group, found), positions, over: group.over)
        end

        # The moves of a group of words, as often and on the side that is said.
        def danced(group, found)
          moves = @chair || @only ? found.moves.map { |move| on_chair(alone(move)) } : found.moves
          moves = as_before(group, moves)
          moves = parted(group, sided(moves, found.lead || begun(moves, group) || other_way(group, moves) || @lead))
          @lead = nil if @lead && moves.any? { |move| move.layer == :feet && move.side }
          Times.new(moves, group, @moves, lead: found.lead, odd: @odd ||= method(:odd?)).all
        end

        def phrase(group)
          words = group.words
          text = words.size == 1 ? words.first.text : words.map(&:text).join(" ")
          last = last_side
          said = after
          @vocabulary.remembered("#{text}|#{last}|#{@moves.empty?}|#{said}") do
            Phrase.new(words, @vocabulary, last:, first: @moves.empty?, after: said).found
          end
        end

        # The foot that was named last.
        def last_side
          at = @moves.rindex { |move| move.side && move.layer == :feet }
          at && @moves[at].side
        end

        def generic?(move) = Lexicon::GENERIC.value?(move.step)

        # "arms only: open 1 2 close 3 4": what follows is all theirs.
        def alone(move)
          return move unless @only && move.kind == :step

          Move.new(text: move.text, step: Lexicon::GENERIC.fetch(@only), kind: :step, layer: @only)
        end

        def odd?(name)
          changes = @vocabulary.find(name.to_s)&.weights.to_a.size
          changes > 2 && changes.odd?
        end

        # Who sits where there is a chair sits on it.
        def on_chair(move)
          return move unless @chair && move.step == "sit" && !move.text.match?(/floor/i)

          move.with(step: "sit on a chair", level: :seated)
        end

        # Words before a colon that name no step.
        def label?(group, found) = group.label && found.moves.all? { |move| move.kind == :unknown }

        def sided(moves, lead)
          at = lead && moves.index { |move| move.layer == :feet && move.kind == :step && move.side.nil? }
          at ? moves.dup.tap { |all| all[at] = all[at].with(side: lead) } : moves
        end

        # Words that name no step: a note. Counts that were said beside them stay empty.
        def aside(group)
          words = group.words.map(&:text).join(" ")
          @kept[:notes] << words unless group.words.all? { |token| Lexicon.small?(token.value) }
        end

        # What stands in brackets: another version, which foot, what is left free; else it is kept as it is.
        def note(text)
          kind = VERSION.match(text)
          return version(kind, text) if kind

          return @kept[:notes] << text unless text.match?(/\p{L}/)

          words = @moves.any? ? Tokens.of(text).select { |token| token.kind == :word } : []
          return @kept[:notes] << text if words.empty?

          found = Phrase.new(words, @vocabulary).found
          return @kept[:notes] << text unless Bracketed.new(@moves, found).apply

          @account.take(text)
          @facts[:exit].merge!(found.exit)
        end

        def version(kind, text)
          @account.take(text)
          name = kind[:kind].downcase.start_with?("st") ? "standing" : "seated"
          @kept[:versions] << [name, kind.post_match, @moves.last&.at, @moves.last&.length]
        end
      end
    end
  end
end
