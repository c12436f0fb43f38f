# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # Which of the typed words were read, and what comes of those that were not.
      module Heard
        private

        # What was said and taken back is read, too.
        def correct
          said = @tokens
          @tokens = Corrections.of(said)
          back = said.reject { |token| @tokens.any? { |each| each.equal?(token) } }
          @account.take(back.map(&:text).join(" "))
        end

        # Takes the words of a group off the account; with a block only those it answers yes for.
        def heard(group)
          group.words.each_with_index { |token, at| @account.take(token.text) if !block_given? || yield(at) }
        end

        # Words that became nothing at all stand as moves that nobody knows, where they were typed.
        def keep_unread
          heard = @account.taken.dup
          [*@kept[:notes], *@kept[:cues].map(&:first), *@moves.map(&:text)].each { |text| @account.take(text) }
          left = @account.left
          stand(left, @account.places.last(@moves.size)) if left.any?
          heard
        end

        # places: of the moves.
        def stand(left, places)
          left.reverse_each do |at, text|
            before = places.rindex { |place| place && place < at }
            @moves.insert(before ? before + 1 : 0, Move.new(text:, kind: :unknown))
          end
        end
      end
    end
  end
end
