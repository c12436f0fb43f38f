# frozen_string_literal: true

module Core
  module Movement
    # Reads one typed eight. Numbers stand before their moves or after them, in every part between commas as it begins.
    # Answers one Line, or more where what is typed fills further eights. Nothing is refused; a count the line does not
    # have is a fault with its place.
    class LineReader
      ENDS = /\bends?\s+(?<at>at|on)\s+(?:the\s+)?(?<place>\p{Ll}[\p{L}\ ]{1,40})/i
      FOOTED = /\A(?:left|right|both|your|l|r|it|two|one)\b/
      LATER = /(?<group>\p{Lu}[\p{L}' ]*?)\s+(?<counts>\d{1,2})\s+(?:counts?\s+)?later/
      MEET = /\ball\s+(?:meet|together)\s+(?:on\s+)?(?<count>\d{1,2})\b/i
      FACTS = /later|meet|together|ends?\s/i
      CHAIR = "(?:wheel)?chairs?"
      SEATED = /\A\s*\(?(?:all\s|everyone\s|stay\s|still\s)?(?:(?:seated|#{CHAIR}|wheels|chair\sdance|
        (?:in|on)\s(?:your\s|the\s|a\s)?#{CHAIR})\s*[:,]|wheelchairs?\b|(?:in|from)\s(?:your|the)\s#{CHAIR}\b|
        (?=.*\bwheels\b))/ix
      VERSION = /\A(?:for )?(?<kind>std|standing|seated|sitting|chairs?|wheelchairs?)\b\s*:?\s*/i
      private_constant :ENDS, :FOOTED, :LATER, :MEET, :FACTS, :CHAIR, :SEATED, :VERSION

      def initialize(text, counts: 8, feel: :even, vocabulary: Vocabulary::DEFAULT)
        @text = text.to_s
        @size = counts
        @feel = feel
        @vocabulary = vocabulary
        @facts = { entry: {}, exit: {}, offsets: {}, meet: nil }
        @moves = []
        @kept = { notes: [], cues: [], faults: [], versions: [] }
      end

      # [Line]
      def lines
        seat
        tokens = Corrections.of(Counting.new(Tokens.of(take_facts(@text)), @size).tokens)
        @segments = Groups.new(tokens).segments
        @called = called(tokens)
        @counts = Counts.new(@size, called: @called, feel: @feel)
        @segments.each_with_index { |segment, i| read(segment, i) }
        finish
      end

      private

      def seat
        @chair = @text.match?(/\b(?:chairs?|stool|bench)\b/i)
        match = SEATED.match(@text) or return
        return if match.post_match.match?(/\A[^,]*on the floor/i)

        @facts[:entry].merge!(weight: :seated, level: :seated)
        @text = match.post_match
      end

      # What is said about the whole line is taken out before its moves are read.
      def take_facts(text)
        return text unless text.match?(FACTS)

        rest = text.gsub(LATER) do
          (@facts[:offsets][Regexp.last_match[:group].strip] = Regexp.last_match[:counts].to_i) && ","
        end
        rest = rest.sub(MEET) { (@facts[:meet] = Regexp.last_match[:count].to_i) && "," }
        rest.gsub(ENDS) { |said| place(Regexp.last_match, said) }
      end

      def place(match, words)
        said = match[:place].strip
        return words if match[:at].downcase == "on" && said.downcase.match?(FOOTED)

        (@facts[:exit][:place] = said) && ","
      end

      # "5 6 … 1 2": the line is called from five.
      def called(tokens)
        counts = tokens.select { |token| %i[number range].include?(token.kind) }
        numbers = counts.flat_map { |token| token.text.scan(/\d+/).map(&:to_i) }
        first = numbers.first
        return 1 unless first && first > 1 && numbers.all? { |number| number <= @size }

        lower = numbers.find_index { |number| number < first }
        lower && numbers[lower..].each_cons(2).all? { |one, two| two >= one } && numbers[lower] == 1 ? first : 1
      end

      def read(segment, _index)
        segment = segment.reject { |group| idle?(group) }
        @first = %i[counts].include?(segment.find { |group| %i[words counts silent].include?(group.kind) }&.kind)
        at = 0
        at += step(segment, at) while at < segment.size
      end

      # Words that say nothing, beside counts or words that do.
      def idle?(group)
        group.kind == :words && group.amount.nil? && group.over.nil? && group.times.nil? &&
          group.words.all? { |token| Lexicon.small?(token.value) }
      end

      # Handles the group at a place, with its partner; answers how many groups were used.
      def step(segment, at)
        group = segment[at]
        case group.kind
        when :counts then counts(segment, at)
        when :words then words(segment, at)
        when :silent then put([Move.new(text: "-", kind: :silent)], []).then { 1 }
        when :cue then (@kept[:cues] << [group.text, @moves.last&.end_at || 0]) && 1
        when :again then again(group).then { 1 }
        else note(group.text).then { 1 }
        end
      end

      def counts(segment, at)
        partner = segment[at + 1]
        return loose_counts(segment[at]) unless partner && @first && %i[words silent].include?(partner.kind)

        positions = positions(segment[at])
        partner.kind == :silent ? put([Move.new(text: "-", kind: :silent)], positions) : say(partner, positions)
        2
      end

      # Counts with nothing said on them: those of the words before the comma, where these have none.
      def loose_counts(group)
        positions = positions(group)
        take_counts(positions) if @open && positions.any?
        @open = nil
        1
      end

      def take_counts(positions)
        moves = @moves.pop(@open)
        @moves.concat(placed(moves, positions))
      end

      def words(segment, at)
        partner = segment[at + 1]
        after = partner&.kind == :counts && (!@first || !%i[words silent].include?(segment[at + 2]&.kind))
        return stated(segment, at) if after && said_only?(segment[at]) && segment[at + 2]

        say(segment[at], after ? positions(partner) : [])
        after ? 2 : 1
      end

      # What is only said of an end takes no counts: they belong to what follows.
      def said_only?(group)
        found = phrase(group)
        found.moves.empty? && (found.entry.any? || found.exit.any?)
      end

      def stated(segment, at)
        @first = true
        say(segment[at], [])
        1
      end

      def positions(group)
        found = group.tokens.flat_map { |token| @counts.positions(token).map { |position| [position, token] } }
        found.each do |position, token|
          next if position && position < @size * 12

          @kept[:faults] << Line::Fault.new(:no_such_count, nil, token.text)
        end
        @range = found.last&.last&.kind == :range
        found.filter_map { |position, _| position if position && position < @size * 12 }
      end

      # A group of words on its counts.
      def say(group, positions)
        before = @moves.size
        said = @moves.any? && Repeats.of(group.words)
        return once_more(said, group, positions) if said

        speak(group, positions)
        @open = positions.empty? && @moves.size > before ? @moves.size - before : nil
      end

      def once_more(said, group, positions)
        more = group.times ? group.times - 1 : said.more
        @moves.concat(repeats.again([more, 1].max, positions:, turned: said.turned, side: said.side))
        @kept[:words] = true
      end

      def again(group) = @moves.concat(repeats.again([group.times - 1, 0].max))
      def repeats = Repeats.new(@moves.dup, @size * 12)

      def speak(group, positions)
        found = phrase(group)
        @facts[:entry] = found.entry.merge(@facts[:entry])
        @facts[:exit].merge!(found.exit)
        return lead(found.lead) if found.moves.empty? && found.lead
        return if found.moves.empty? && (found.entry.any? || found.exit.any?)
        return aside(group, positions) if found.moves.empty? || label?(group, found)
        return @only = found.moves.first.layer if group.label && found.moves.all? { |move| generic?(move) }

        return if found.moves.size == 1 && Bracketed.new(@moves, found).beside

        moves = sided(found.moves.map { |move| on_chair(alone(move)) }, found.lead || @lead)
        @lead = nil if moves.any? { |move| move.layer == :feet && move.side }
        put(Times.new(moves, group, @moves, lead: found.lead, odd: method(:odd?)).all, positions, over: group.over)
      end

      def phrase(group)
        last = @moves.reverse_each.find { |move| move.side && move.layer == :feet }&.side
        before = { last:, first: @moves.empty?, after: }
        key = "#{group.words.map(&:text).join(' ')}|#{before.values.join('|')}"
        @vocabulary.remembered(key) { Phrase.new(group.words, @vocabulary, **before).found }
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

      # What the move before was, where that says whose the next words are.
      def after
        move = @moves.last or return
        return :unknown if move.kind == :unknown
        return :upper if generic?(move) || (move.layer == :arms && move.text.match?(/\b(?:up|down)\b/i))

        :gesture if move.layer == :feet && @vocabulary.find(move.step.to_s)&.foot == :free
      end

      # Words before a colon that name no step.
      def label?(group, found) = group.label && found.moves.all? { |move| move.kind == :unknown }

      # Which foot begins: of what follows, or of what was said just now.
      def lead(side)
        at = @moves.rindex { |move| move.kind == :step && move.layer == :feet }
        return @lead = side if at.nil? || @moves[at].side

        @moves[at] = @moves[at].with(side:)
      end

      def sided(moves, lead)
        at = lead && moves.index { |move| move.layer == :feet && move.kind == :step && move.side.nil? }
        at ? moves.dup.tap { |all| all[at] = all[at].with(side: lead) } : moves
      end

      # Words that name no step: a note. Counts that were said beside them stay empty.
      def aside(group, _positions)
        words = group.words.map(&:text).join(" ")
        @kept[:notes] << words unless group.words.all? { |token| Lexicon.small?(token.value) }
      end

      def put(moves, positions, over: nil)
        return place_over(moves, over, positions.first) if over && moves.size == 1
        return @moves.concat(moves) if positions.empty?

        @moves.concat(placed(moves, positions))
      end

      def placed(moves, positions)
        Placing.new(moves, positions, range: @range, vocabulary: @vocabulary).moves
      end

      # "over 6": from here on for six counts.
      def place_over(moves, over, from)
        from ||= @moves.empty? ? 0 : @moves.last.end_at
        @moves.concat(moves.map { |move| move.with(at: from, length: over * 12, usual: false) })
      end

      # What stands in brackets: another version, which foot, what is left free; else it is kept as it is.
      def note(text)
        kind = VERSION.match(text)
        return version(kind) if kind

        words = @moves.any? ? Tokens.of(text).select { |token| token.kind == :word } : []
        return @kept[:notes] << text if words.empty?

        found = Phrase.new(words, @vocabulary).found
        return @kept[:notes] << text unless Bracketed.new(@moves, found).apply

        @facts[:exit].merge!(found.exit)
      end

      def version(kind)
        name = kind[:kind].downcase.start_with?("st") ? "standing" : "seated"
        @kept[:versions] << [name, kind.post_match, @moves.last&.at, @moves.last&.length]
      end

      def finish
        Eights.new(@moves, @size, @vocabulary).lines(@kept, @facts, called: @called, feel: @feel, counted: counted?)
      end

      def counted? = @segments.flatten.any? { |group| group.kind == :counts }
    end
  end
end
