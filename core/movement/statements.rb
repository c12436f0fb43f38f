# frozen_string_literal: true

module Core
  module Movement
    # What a phrase says of the body instead of moving it: where the weight is, which foot is free, which way it faces,
    # how high it is, what is left to the dancer. Works on words as Lexicon.words writes them.
    module Statements
      # weight, facing (:open where it is said without being known), level: values; choice: the feet are the dancer's;
      # none: no weight on what is danced; given: the weight goes onto it; ending: it is said of the end; start: of the
      # beginning, when nothing was danced before; doing: it is done there ("face back"), not only so ("facing back");
      # same: of the foot that was named last. at, size: its words.
      Said = Struct.new(
        :weight, :facing, :level, :choice, :none, :given, :ending, :start, :same, :doing, :at, :size, keyword_init: true
      )
      OTHER = { left: :right, right: :left }.freeze

      module_function

      # words: [String] => [Said] in order; each word is said by one of them at most.
      def of(words)
        text = words.join(" ")
        found = []
        PATTERNS.each do |kind, pattern|
          next unless text.match?(SIGNS.fetch(kind))

          while (match = pattern.match(text))
            said = build(kind, match, text) or break
            found << said
            text = hidden(text, match)
          end
        end
        found.sort_by(&:at)
      end

      # The text with what was understood made unreadable, its words still counted.
      def hidden(text, match)
        from, to = span(match)
        "#{text[0...from]}#{text[from...to].gsub(/[^ ]/, '_')}#{text[to..]}"
      end

      # Where the statement itself lies: the verb before a :tail is still danced.
      def span(match) = match.names.include?("tail") ? match.offset(:tail) : match.offset(0)

      def build(kind, match, text)
        from, to = span(match)
        place = { at: text[0...from].count(" "), size: text[from...to].strip.count(" ") + 1 }
        values = send("said_#{kind}", match, text) or return
        Said.new(**place, **values)
      end

      def foot(match) = match[:side] && (match[:side] == "it" ? nil : match[:side].to_sym)

      def said_none(match, _text) = foot(match) ? { weight: OTHER[foot(match)] } : { none: true }
      def said_given(_match, _text) = { given: true }
      def said_free(match, _text) = { weight: OTHER[foot(match)], ending: true }
      def said_free_foot(match, text) = said_free(match, text)
      def said_lifted(match, _text) = { weight: OTHER[foot(match)] }
      def said_kept(_match, _text) = {}
      def said_supporting(match, _text) = { weight: foot(match) }
      def said_shared(_match, _text) = { weight: :both }
      def said_weight_open(_match, _text) = { weight: :open }
      def said_weight(match, _text) = { weight: foot(match), ending: match[0].match?(/\b#{ENDS}\b/o) }
      def said_ended(match, _text) = { weight: foot(match), ending: true }
      def said_stands(match, _text) = match[:side] == "it" ? { same: true } : { weight: foot(match) }
      def said_lands(match, _text) = { weight: foot(match) }
      def said_either_foot(_match, _text) = { weight: :open }
      def said_lands_open(_match, _text) = { weight: :open }
      def said_to_foot(match, _text) = { weight: foot(match) }
      def said_on_leg(match, _text) = { weight: foot(match) }
      def said_together(_match, _text) = { weight: :both }

      # Fourth position bears on one foot or on both.
      def said_position(match, text)
        return if text.match?(/\b(?:arms?|hands?)\b/)

        { weight: match[0].match?(/fourth|4th/) ? :open : :both }
      end

      def said_choice(_match, _text) = { choice: true }
      def said_away(_match, _text) = { facing: 5 }

      # Who has the right shoulder to the audience faces left.
      def said_shoulder(match, _text)
        return { facing: match[:on] == "right" ? 7 : 3 } if match[:on]

        { facing: (match[:side] == "right") ^ %w[back upstage].include?(match[:to]) ? 7 : 3 }
      end

      def said_facing(match, _text)
        facing = Lexicon::FACED.fetch(match[:to])
        { facing: facing || :open, ending: match[:lead].match?(/\b(?:#{ENDS}|stop|land)\b/o),
          start: match[:lead].match?(/\b(?:start|already)/), doing: %w[face faces].include?(match[:verb]) }
      end

      LEVELS = { "kneeling" => :kneeling, "lying" => :floor, "laying" => :floor }.freeze
      CHAIRS = %w[chair chairs seat seats stool stools bench benches wheelchair wheelchairs].freeze
      private_constant :LEVELS, :CHAIRS

      def said_level(match, _text)
        level = LEVELS.fetch(match[:how]) { CHAIRS.include?(match[:on]) || match[:on].nil? ? :seated : :floor }
        level = :sitting if level == :seated && match[:on].nil? && match[:how] != "seated"
        { level:, start: !match[:lead].empty? }
      end

      def said_on_feet(_match, _text) = { level: :standing, start: true }
      private_class_method :hidden, :span, :build, :foot, *PATTERNS.keys.map { |kind| :"said_#{kind}" }
    end
  end
end
