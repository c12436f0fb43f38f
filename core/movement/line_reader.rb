# frozen_string_literal: true

module Core
  module Movement
    # Reads one typed eight. Numbers stand before their moves or after them, one way a line. Answers one Line, or more
    # where "x2" fills further eights. Nothing is refused; a count the line does not have is a fault with its place.
    class LineReader
      EXIT = /\b(?:ends?\s+(?:with\s+)?)?(?<side>r|l|right|left)\s+(?:foot\s+|ft\s+)?free\b/i
      ENDS = /\bends?\s+(?:
        facing\s+(?:the\s+)?
          (?<facing>front\ right|front\ left|back\ right|back\ left|front|audience|back|right|left)
        |(?:at|on)\s+(?:the\s+)?(?<place>\p{Ll}[\p{L}\ ]{1,40})
      )/ix
      LATER = /(?<group>\p{Lu}[\p{L}' ]*?)\s+(?<counts>\d{1,2})\s+(?:counts?\s+)?later/
      MEET = /\ball\s+(?:meet|together)\s+(?:on\s+)?(?<count>\d{1,2})\b/i
      FACTS = /later|meet|together|free|ends?\s/i
      ANY = /whatever|either|any foot|free feet|your choice/i
      STANDING = /\Ast(?:d|anding)\b\s*/i

      def initialize(text, counts: 8, feel: :even, vocabulary: Vocabulary::DEFAULT)
        @text = text.to_s
        @size = counts
        @feel = feel
        @vocabulary = vocabulary
        @facts = { exit: {}, offsets: {}, meet: nil }
        @moves = []
        @notes = []
        @cues = []
        @faults = []
        @versions = []
      end

      def lines
        @groups = Groups.new(Tokens.of(take_facts(@text))).all
        @called = called
        @counts = Counts.new(@size, called: @called, feel: @feel)
        @first = @groups.find { |group| %i[words counts silent].include?(group.kind) }&.kind == :counts
        read
        place_by_length
        finish
      end

      private

      # What is said about the whole line is taken out before its moves are read.
      def take_facts(text)
        return text unless text.match?(FACTS)

        rest =
          text.gsub(LATER) do
            (@facts[:offsets][Regexp.last_match[:group].strip] = Regexp.last_match[:counts].to_i) && ","
          end
        rest = rest.sub(MEET) { (@facts[:meet] = Regexp.last_match[:count].to_i) && "," }
        rest = rest.gsub(ENDS) { state_end(Regexp.last_match) && "," }
        rest.sub(EXIT) do
          (@facts[:exit][:weight] = Regexp.last_match[:side].downcase.start_with?("r") ? :left : :right) && ","
        end
      end

      def state_end(said)
        @facts[:exit][:facing] = Phrase::FACINGS.fetch(said[:facing].downcase) if said[:facing]
        @facts[:exit][:place] = said[:place].strip if said[:place]
        true
      end

      # "5 6 … 1 2": the line is called from five.
      def called
        numbers =
          @groups
            .select { |g| g.kind == :counts }
            .flat_map { |g| g.tokens.flat_map { |t| t.text.scan(/\d+/).map(&:to_i) } }
        first = numbers.first
        first && first > 1 && numbers.any? { |n| n < first } && numbers.all? { |n| n <= @size } ? first : 1
      end

      def read
        at = 0
        at += step(at) while at < @groups.size
      end

      # Handles the group at a place, with its partner; answers how many groups were used.
      def step(at)
        group = @groups[at]
        case group.kind
        when :counts then counts(at, group)
        when :words then words(at, group)
        when :silent then put([Move.new(text: "-", kind: :silent)], group, []).then { 1 }
        when :cue then (@cues << [group.text, @moves.last&.end_at || 0]) && 1
        else note(group.text).then { 1 }
        end
      end

      def counts(at, group)
        partner = @groups[at + 1]
        unless partner && (@first || @moves.empty?) && %i[words silent].include?(partner.kind)
          return loose_counts(group)
        end

        moves = partner.kind == :silent ? [Move.new(text: "-", kind: :silent)] : moves_of(partner)
        put(moves, partner, positions(group))
        2
      end

      # Counts with nothing danced on them.
      def loose_counts(group)
        positions(group)
        1
      end

      def words(at, group)
        partner = @groups[at + 1]
        after = partner&.kind == :counts && (!@first || !%i[words silent].include?(@groups[at + 2]&.kind))
        moves = moves_of(group)
        return aside(group).then { 1 } if moves.all? { |move| move.kind == :unknown } && !after && group.over.nil?

        put(moves, group, after ? positions(partner) : [])
        after ? 2 : 1
      end

      # Words without a count that name no step: a note, unless the counts of the line hang on it.
      def aside(group) = @notes << group.words.map(&:text).join(" ")

      def moves_of(group) = Phrase.new(group.words, @vocabulary).moves

      def positions(group)
        found = group.tokens.flat_map { |token| @counts.positions(token).map { |position| [position, token] } }
        found.each do |position, token|
          @faults << Line::Fault.new(:no_such_count, nil, token.text) unless position && position < @size * 12
        end
        found
          .filter_map { |position, token| position && [position, token.kind] }
          .select { |position, _| position < @size * 12 }
      end

      def put(moves, group, positions)
        moves *= group.times if group.times
        places = positions.map(&:first)
        return place_over(moves, group, places.first) if group.over
        return moves.each { |move| @moves << move } if places.empty?

        @moves.concat(Placing.new(moves, places, range: positions.last.last == :range, vocabulary: @vocabulary).moves)
        note_repeat(group)
      end

      # "over 6": from here on for six counts.
      def place_over(moves, group, from)
        from ||= @moves.last&.end_at || (0 if @moves.empty?)
        @moves.concat(moves.map { |move| move.with(at: from, length: group.over * 12) })
      end

      def note_repeat(group) = @repeated = group.times

      def note(text)
        return @moves[-1] = @moves.last.with(choice: [:weight]) if text.match?(ANY) && @moves.any?
        if text.match?(STANDING)
          return @versions << ["standing", text.sub(STANDING, ""), @moves.last&.at, @moves.last&.length]
        end

        @notes << text
      end

      # No count was said at all, and the usual lengths of the steps fill the line exactly: they follow each other.
      def place_by_length
        return if @moves.empty? || @groups.any? { |group| group.kind == :counts } || @moves.any?(&:at)

        lengths = @moves.map { |move| move.length || 12 }
        return unless @moves.all? { |move| move.kind == :step } && (lengths.sum % (@size * 12)).zero?

        from = 0
        @moves = @moves.zip(lengths).map do |move, length|
          placed =
            Placing.new([move], [from], range: false, vocabulary: @vocabulary).moves.first.with(length:, said: [])
          from += length
          placed
        end
        second_time
      end

      # "(2nd x no last touch - hold)"
      def second_time
        said = @notes.find { |note| note.match?(/\A(?:2nd|second)\b.*\bno last\b.*\bhold/i) } or return
        @notes.delete(said)
        last = @moves.pop
        at = last.at + 12
        @moves << last.with(step: "step", text: "step #{last.side == :left ? 'L' : 'R'}", length: 12) <<
          Move.new(text: "hold", step: "hold", kind: :hold, at:, length: 12)
      end

      def finish
        parts = @moves.chunk_while { |a, b| a.at.nil? || b.at.nil? || eight_of(a) == eight_of(b) }.to_a
        parts = [[]] if parts.empty?
        parts.each_with_index.map { |moves, i| line(moves, i, parts.size - 1) }
      end

      # Which eight of the text a move lies in; a pickup belongs to the first.
      def eight_of(move) = [move.at, 0].max / (@size * 12)

      def line(moves, index, last)
        moves = shifted(moves, index * @size * 12) unless index.zero?
        said = {
          moves:,
          exit: {},
          **(index == last ? { exit: @facts[:exit], meet: @facts[:meet] } : {}),
          **(index.zero? ? beside : {})
        }
        Line.new(counts: @size, called: @called, feel: @feel, **said)
      end

      # What is said beside the moves belongs to the first eight.
      def beside = { notes: @notes, cues: @cues, faults: @faults, versions: @versions, offsets: @facts[:offsets] }

      def shifted(moves, by)
        moves.map do |move|
          if move.at
            move.with(
              at: move.at - by,
              places: move.places.map { |place| place - by },
              said: move.said.map { |place| place - by }
            )
          else
            move
          end
        end
      end
    end
  end
end
