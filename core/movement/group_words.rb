# frozen_string_literal: true

module Core
  module Movement
    # What a typed eight says of groups, in words: "Builders: stomp R L", "Nurses 4 later", "Scouts and Nurses hold 8",
    # "Scouts first, then the others 4 later", "each two counts after the last". Names of groups that there are count in
    # any spelling; other names only where they cannot be anything else (capitals, several, and no word of dancing).
    #
    #   GroupWords.of("walk R L. Builders: stomp R L", ["Builders"]).own  # => {"Builders" => "stomp R L"}
    class GroupWords
      # Texts and lists of names that are remembered.
      MEMORY = 2_000
      private_constant :MEMORY
      @patterns = {}
      @read = {}
      @lock = Mutex.new

      # text: as typed; names: of the piece's groups. Answers a Said, which is nobody's to change.
      def self.of(text, names = [])
        @lock.synchronize do
          [@patterns, @read].each { |known| known.clear if known.size >= MEMORY }
          @read[[text, names]] ||= new(names, @patterns[names] ||= Patterns.new(names)).read(text)
        end
      end

      # Keeps nothing of what was read so far.
      def self.forget = @lock.synchronize { [@patterns, @read].each(&:clear) }

      def initialize(names, patterns)
        @by_fold = names.to_h { |name| [fold(name), name] }
        @patterns = patterns
        @said = Said.new(main: "", own: {}, later: {}, holds: [], first: nil, apart: nil)
      end

      # Said of a text.
      def read(text)
        rest = @patterns.speaks?(text) ? spoken(text) : text
        @said.main = rest
        @said.freeze
      end

      private

      def spoken(text)
        rest = take_apart(take_first(text))
        rest = tidy(take_own(take_holds(take_later(rest))))
        same = @said.own.empty? && rest.gsub(/[\s,;.]/, "") == text.gsub(/[\s,;.]/, "")
        same ? text : rest
      end

      def fold(name) = name.downcase.delete_suffix("s").strip

      # Names as the piece has them; words of dancing are nobody.
      def people(who)
        who.split(/\s*,\s*|\s+(?:and|&|\+)\s+|\s*[&+]\s*/).filter_map do |name|
          name = name.sub(/\A(?:the|and) /i, "").strip
          @by_fold[fold(name)] || (name if stranger?(name))
        end
      end

      def stranger?(name)
        word = name.downcase
        [word, word.delete_suffix("s")].none? do |each|
          Vocabulary::DEFAULT.find(each) || Lexicon.idle?(each) || Lexicon::PARTS.key?(each) ||
            Lexicon::FEET.include?(each) || Lexicon::DIRECTIONS.include?(each)
        end
      end

      def others?(who) = who.match?(/\A#{Patterns::OTHERS}\z/o)
      def number(text) = Lexicon::NUMBERS[text.to_s.downcase] || text.to_i

      def take(text, pattern)
        text.gsub(pattern) do |words|
          match = Regexp.last_match
          yield(match) ? "," : words
        end
      end

      def take_first(text)
        take(text, @patterns.first) do |match|
          names = people(match[:who])
          next if names.empty?

          @said.first = names
          others?(match[:then]) ? later(nil, match[:n]) : people(match[:then]).each { |name| later(name, match[:n]) }
          true
        end
      end

      def later(name, counts)
        counts ? @said.later[name] = number(counts) : @said.later[name] ||= nil
      end

      def take_apart(text)
        take(text, @patterns.apart) do |match|
          names = match[:who] ? people(match[:who]) : []
          next if match[:who] && names.empty?

          @said.apart = [names, number(match[:n])]
        end
      end

      def take_later(text)
        take(text, @patterns.later) do |match|
          next later(nil, match[:n]) || true if others?(match[:who])

          names = people(match[:who])
          names.each { |name| later(name, match[:n]) }
          names.any?
        end
      end

      def take_holds(text)
        take(text, @patterns.holds) do |match|
          names = people(match[:who])
          next if names.empty? || !begins?(text, match)

          from = match[:from]&.to_i || 1
          @said.holds << [names, from, match[:to]&.to_i || (number(match[:n]) if match[:n])]
        end
      end

      # Whether a name begins a part between commas: "hold Nurses 8" is none.
      def begins?(text, match) = text[0...match.begin(0)].match?(/(?:\A|[,;.:(]|\band|\bwhile)\s*\z/)

      # "Builders: stomp R L", "Builders stomp R L, all clap": what stands behind a name is theirs, up to the next.
      def take_own(text)
        return text unless @said.holds.any? || marked?(text)

        at = 0
        main = +""
        owner = []
        while (match = marker(text, at))
          keep(owner, text[at...match.begin(0)], main)
          owner = match[:who].match?(/\A(?:#{Patterns::OTHERS}|#{Patterns::ALL})\z/io) ? [] : people(match[:who])
          at = match.end(0)
        end
        keep(owner, text[at..], main)
        main
      end

      def marked?(text) = [@patterns.label, @patterns.lead].compact.any? { |each| text.match?(each) }

      def marker(text, from)
        found = [@patterns.label, @patterns.lead].compact.filter_map { |each| each.match(text, from) }
        found.select { |match| somebody?(match[:who]) }.min_by { |match| match.begin(:who) }
      end

      def somebody?(who) = who.match?(/\A(?:#{Patterns::OTHERS}|#{Patterns::ALL})\z/io) || people(who).any?

      def keep(owner, text, main)
        text = tidy(text.to_s)
        return main << (main.empty? || text.empty? ? text : ", #{text}") if owner.empty?

        owner.each { |name| @said.own[name] = [@said.own[name], text].compact.reject(&:empty?).join(", ") }
      end

      def tidy(text) = text.gsub(/(?:\s*,\s*){2,}/, ", ").gsub(/\A[\s,;.]+|[\s,;.]+\z/, "").strip
    end
  end
end
