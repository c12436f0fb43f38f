# frozen_string_literal: true

module Core
  module Movement
    class LineReader
      # Where not everybody dances the same: "odds step R, evens step L", "half up, half down", "step R or L". Each move
      # is read, but what it changes is known of nobody in particular.
      module Parted
        PEOPLE = "(?:wheelchair|chair) users|(?:standing|seated) (?:dancers|people|ones)|standers|sitters|girls|" \
                 "boys|men|women|" \
                 "ladies|gents|guys|leaders?|followers?|leads|follows|bases?|flyers?|seniors|" \
                 "juniors|soloists?|corps|littles|bigs|odds|evens|ones|twos|threes|(?:tall|small|little|big|older|" \
                 "younger|new|centre|center|middle|outside|inside|end) ones"
        PARTS = "(?:front|back|middle|first|second|third|1st|2nd|3rd|last|left|right|outside|inside|other|top|" \
                "bottom) " \
                "(?:row|line|half|group|circle|people)s?|" \
                "(?-i:A)['’]?s|a['’]s|b['’]?s|[ab](?= (?:step|go|hold))|" \
                "(?:group|team|partner|line|row|couple|number)s? (?:one|two|three|four|[1-4a-d])|" \
                "half(?= (?:of|the|you|go|stay|hold|step|up|down|kneel|stand|sit|are|on|do)\\b)"
        OTHERS = "(?<!for )(?<!hold )(?<!do )(?<!through )the rest" \
                 "(?! of (?:it|this|that|the (?:eight|count|time|line|song)))|" \
                 "others|other (?:group|half|line|row|people|ones|team)s?|every(?:one|body) else|" \
                 "some of (?:you|us|them)|" \
                 "(?:left|right) side of the (?:room|stage|space|line|circle|group)|" \
                 "if you(?:['’]?re| are)? (?:in|on|at|a|the)"
        REST = /\b(?:#{OTHERS})\b/i
        HALF_OF = /\bhalf (?:of )?(?:the (?:group|class|cast|room|girls|boys)|you|us|them)\b/i
        HALVES = /\bhalf (?:up|down|on|go|stay)\b/i
        SUBJECT = /(?<![\p{L}\d])(?:#{PEOPLE}|#{PARTS})(?![\p{L}\d])/i
        NAMED = /(?:\A|[,;.:(]\s*|\b(?:and|while) )(?<name>\p{Lu}\p{L}+s)(?=:?\s+\p{Ll})/
        # Who is spoken to.
        CALLED = /\b(?:boys and girls|girls and boys|ladies and gent(?:s|lemen)|leaders and follow(?:er)?s)\b/i
        ALL = /\A(?:then |and |now )*(?:all|everyone|everybody|all together|both)\b(?! else)/i
        EVERYBODY = /\b(?:all|everyone|everybody)\b/i
        CHOSEN = /\bor\b(?! (?:so|more|less|two|three|four|five|six)\b)/i
        # Without one of these words, or a name of several, a line is everybody's.
        SIGNS = %w[
          girls boys men women ladies gents guys leader leaders follower followers leads follows base bases flyer flyers
          seniors juniors soloist soloists corps littles bigs odds evens ones twos threes row rows line lines half halfs
          group groups circle circles people peoples team teams partner partners couple couples number numbers as bs a b
          rest others else some if side users dancers standers sitters
        ].to_set.freeze
        private_constant :SIGNS, :PEOPLE, :PARTS, :OTHERS, :REST, :HALVES, :HALF_OF, :SUBJECT, :NAMED, :ALL,
                         :EVERYBODY, :CHOSEN, :CALLED

        private

        # Whether the line speaks of several parts of the cast.
        def parted?
          return @parted if defined?(@parted)
          return @parted = false unless signs?

          said = @text.gsub(CALLED, "").scan(SUBJECT).map(&:downcase).uniq
          @parted = @text.match?(HALF_OF) || said.size > (@text.match?(EVERYBODY) ? 0 : 1) || @text.match?(REST) ||
            @text.scan(HALVES).size > 1 || named.size > 1
        end

        def signs?
          @tokens.any? do |token|
            token.kind == :word && (SIGNS.include?(token.value) || several_named?(token.text))
          end
        end

        def several_named?(text) = text.size > 2 && text.end_with?("s", "s:") && text.match?(/\A\p{Lu}/)

        # "Nurses step R, Doctors step L": names that are no steps.
        def named
          @text.scan(NAMED).flatten.uniq.reject do |name|
            @vocabulary.find(name.downcase) || Lexicon.idle?(name.downcase) || Lexicon::PARTS.key?(name.downcase)
          end
        end

        # The moves of a group of words, with what they leave open.
        def parted(group, moves)
          either = group.words.any? { |token| token.value == "or" }
          return moves unless either || parted?

          text = group.words.map(&:text).join(" ")
          chosen = either && text.match?(CHOSEN)
          return moves unless chosen || (parted? && !text.match?(ALL))

          moves.map { |move| move.with(doubts: move.doubts | changed(@moves + moves)) }
        end

        # "jump or clap", "spin and wave, or just wave": what is chosen on the same counts is one thing, kept as it is
        # said; what it leaves open is known of nobody.
        def one_of(moves, text)
          open = changed(moves)
          return Move.new(text:, step: "arms", kind: :step, layer: moves.first.layer) if open.empty?

          Move.new(text:, kind: :unknown, doubts: open)
        end

        def chosen?(group) = said(group).match?(CHOSEN)
        def said(group) = group.words.map(&:text).join(" ")

        # A part that begins with "or" stands for the one before it.
        def instead(group, moves)
          before = @moves.pop(@moves.size - @spoke)
          first = before.first
          one = one_of([*before, *moves], "#{before.map(&:text).uniq.join(' ')}, #{said(group)}")
          ends = before.filter_map(&:end_at).max
          @moves << one.with(at: first.at, length: ends && (ends - first.at.to_i), said: first.said, range: first.range)
        end

        def instead?(group) = group.words.first.value == "or" && !@spoke.nil? && @spoke < @moves.size

        # What the moves so far changed for some, and maybe not for others.
        def changed(among)
          feet = among.any? { |each| each.layer == :feet && %i[step unknown].include?(each.kind) }
          found = feet ? %i[weight start] : []
          found << :level if among.any?(&:level)
          found << :facing if among.any? { |each| turned?(each) }
          found
        end

        def turned?(move) = !move.facing.nil? || move.turn != 0
      end
    end
  end
end
