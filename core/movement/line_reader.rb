# frozen_string_literal: true

module Core
  module Movement
    # Reads one typed eight. Numbers stand before their moves or after them, in every part between commas as it begins.
    # Answers one Line, or more where what is typed fills further eights. Nothing is refused; a count the line does not
    # have is a fault with its place.
    class LineReader
      ENDS = /\bends?\s+(?<at>at|on)\s+(?:the\s+)?(?<place>\p{Ll}[\p{L}\ ]{1,40})/i
      FOOTED = /\A(?:left|right|both|your|l|r|it|two|one)\b/
      MEET = /\ball\s+(?:meet|together)\s+(?:on\s+)?(?<count>\d{1,2})\b/i
      FILLED = %i[words counts silent].freeze
      DANCED = %i[words silent].freeze
      FACTS = /meet|together|ends?\s/i
      CHAIR = "(?:(?:wheel)?chairs?|stools?|bench(?:es)?)"
      SEATED = /\A\s*\(?(?:all\s|everyone\s|stay\s|still\s)?(?:(?:seated|#{CHAIR}|wheels|chair\sdance|
        (?:in|on)\s(?:your\s|ur\s|the\s|a\s)?(?:\p{L}+\s)?#{CHAIR})\s*[:,]|wheelchairs?\b|chair\susers\b|
        (?:in|from)\s(?:your|the)\s#{CHAIR}\b|
        (?:we|you)(?:['’]?re|\sare)\s(?:all\s)?(?:sitting\s)?(?:in|on)\s(?:our|your|the)\s#{CHAIR}\b|
        (?=.*\bwheels\b))/ix
      VERSION = /\A(?:for )?(?<kind>std|standing|seated|sitting|chairs?|wheelchairs?)\b\s*:?\s*/i
      private_constant :FILLED, :DANCED, :ENDS, :FOOTED, :MEET, :FACTS, :CHAIR, :SEATED, :VERSION

      include Whole
      include Heard
      include Saying
      include Onward
      include ToldAfter
      include Parted

      # names: of the piece's groups.
      def initialize(text, counts: 8, feel: :even, vocabulary: Vocabulary::DEFAULT, names: [])
        said = GroupWords.of(text.to_s, names)
        @text = said.main
        @size = counts
        @feel = feel
        @vocabulary = vocabulary
        @facts = { entry: {}, exit: {}, groups: (said if said.any?), meet: nil }
        @moves = []
        @kept = { notes: [], cues: [], faults: [], versions: [] }
        @account = Accounting.new(@text)
      end

      # [Line]
      def lines
        seat
        @tokens = Counting.new(Tokens.of(take_facts(@text)), @size).tokens
        correct if Corrections.possible?(@text)
        @segments = Groups.new(@tokens).segments
        @called = called(@tokens)
        @counts = Counts.new(@size, called: @called, feel: @feel, wrap: wrap(@tokens))
        greet
        @segments.each_with_index { |segment, i| read(segment, i) }
        finish
      end

      private

      def read(segment, index)
        @told = index
        segment = segment.reject { |group| idle?(group) }
        @first = segment.find { |group| FILLED.include?(group.kind) }&.kind == :counts
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
        return loose_counts(segment[at]) unless partner && @first && DANCED.include?(partner.kind)

        positions = positions(segment[at])
        partner.kind == :silent ? put([Move.new(text: "-", kind: :silent)], positions) : say(partner, positions)
        2
      end

      # Counts with nothing said on them: those of the words before the comma, where these have none; else they are
      # kept as words, like all that is typed and not read.
      def loose_counts(group)
        positions = positions(group)
        if @open && positions.any?
          take_counts(positions)
        else
          @kept[:notes] << group.tokens.map(&:text).join(" ")
          @row = [positions, @moves.size, @kept[:notes].last] if positions.size > 1 && positions.all?
        end
        @open = nil
        1
      end

      def take_counts(positions)
        moves = @moves.pop(@open)
        @moves.concat(placed(moves, positions))
      end

      def words(segment, at)
        @behind = at.positive?
        partner = segment[at + 1]
        after = partner&.kind == :counts && (!@first || !DANCED.include?(segment[at + 2]&.kind))
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
        @range = group.tokens.last&.kind == :range
        group.tokens.each_with_object([]) do |token, found|
          @counts.positions(token).each do |position|
            next found << position if position && position < @size * 12

            @kept[:faults] << Line::Fault.new(:no_such_count, nil, token.text)
          end
        end
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

      # "one and two and: left right left right": counts that were told once for all that follows them.
      def lay_row
        positions, from, note = @row
        row = @moves[from, positions.size].to_a
        return unless row.size == positions.size && row.all? { |move| move.at.nil? && move.kind == :step }
        return if @moves[from + row.size]&.at.nil? && @moves.size > from + row.size

        @kept[:notes].delete(note)
        laid = row.zip(positions).map { |move, at| Placing.new([move], [at], range: false).moves.first }
        @moves[from, row.size] = laid
      end

      def finish
        lay_row if @row
        @kept[:heard] = keep_unread
        Eights.new(@moves, @size, @vocabulary).lines(@kept, @facts, called: @called, feel: @feel, counted: counted?)
      end

      def counted? = @segments.flatten.any? { |group| group.kind == :counts }
    end
  end
end
