# frozen_string_literal: true

module Core
  module Movement
    # Finds steps by what people call them. A studio's own steps and nicknames come first.
    #
    #   Vocabulary.new.match(%w[ball ch l r], 0)  # => [Step "ball-change", 2]
    class Vocabulary
      STYLES = [
        Styles::BASICS,
        Styles::JAZZ,
        Styles::BALLET,
        Styles::STREET,
        Styles::CONTEMPORARY,
        Styles::SEATED,
        Styles::GESTURES
      ].freeze
      FOLDED = { "é" => "e", "è" => "e", "ê" => "e", "î" => "i", "ç" => "c", "ö" => "o" }.freeze

      PLAIN = /\A[a-z0-9]+\z/

      def self.fold(text)
        low = text.downcase
        return low if low.match?(PLAIN)

        low.gsub(/[éèêîçö]/, FOLDED).tr("-", " ").gsub(/[^a-z0-9 ]/, "").squeeze(" ").strip
      end

      attr_reader :steps

      # own: further steps; each hides a known one of the same name. meant: what words mean to those who teach,
      # {teacher => [Step]}.
      def initialize(own: [], meant: {})
        @own = own
        @meant = meant
        @of = {}
        @steps = [*own, *STYLES.flatten].freeze
        @names = {}
        @exact = @steps.reverse.to_h { |step| [step.name, step] }
        @steps.each { |step| [step.name, *step.aliases].each { |name| name(name, step) } }
        @several = name_several
        @phrases = {}
        @longest = @names.keys.map(&:split).group_by(&:first).transform_values { |names| names.map(&:size).max }
      end

      # As one teacher's sections are read.
      def of(teacher)
        words = @meant[teacher]
        words.nil? || words.empty? ? self : @of[teacher] ||= Vocabulary.new(own: [*words, *@own])
      end

      # Most phrases remembered at a time.
      MEMORY = 2_000

      # What was read of a phrase with these words, or what the block reads; phrases come again and again.
      def remembered(key)
        found = @phrases[key] and return found
        @phrases.clear if @phrases.size >= MEMORY
        @phrases[key] = yield
      end

      # Keeps nothing of the phrases read so far.
      def forget = @phrases.clear

      # The step whose name starts at a word, the longest name first: [step, how many words], or nil. words: as
      # Lexicon.words writes them.
      def match(words, at)
        most = @longest[words[at]] or return inflected(words[at])
        [most, words.size - at].min.downto(1) do |count|
          step = @names[count == 1 ? words[at] : words[at, count].join(" ")]
          return [step, count] if step
        end
        inflected(words[at])
      end

      # "swaying" is a sway, "clapping" a clap: [step, 1], or nil.
      def inflected(word)
        stem = word&.match(ENDINGS)&.[](:stem) or return
        step = [stem, "#{stem}e", stem.sub(/(.)\1\z/, '\1')].filter_map { |each| @names[each] }.first
        step && [step, 1]
      end
      ENDINGS = /\A(?<stem>[a-z]{3,})(?:ing|es|s|ed)\z/

      # Whether words from one on are several of a step that is called by more than one: "step touches".
      def several?(words) = [2, 3, 4].any? { |count| @several.include?(words.first(count).join(" ")) }

      def find(name) = @exact[name] || @names[Vocabulary.fold(name)] || @names[Lexicon.spelt(name)]

      # A name is found as it is written, and as it is read where it has short words in it ("wheel bk").
      def name(name, step)
        [Vocabulary.fold(name), Lexicon.spelt(name)].each { |written| @names[written] ||= step }
      end

      # "jazz squares", "step touches": as one of them. The names, as they are read.
      def name_several
        names = @names.keys.grep(SEVERAL_WORDS).grep_v(COUNTED).to_h do |name|
          [Lexicon.spelt(name.sub(/(?:ch|sh|x|s)\z/, '\0e') << "s"), @names[name]]
        end
        names.each { |name, step| @names[name] ||= step }
        names.keys.grep(/s\z/).to_set
      end
      SEVERAL_WORDS = / [a-z]{3,}\z/
      COUNTED = /\A(?:#{Lexicon::NUMBERS.keys.join('|')}|\d+) /
      private :name, :inflected, :name_several

      DEFAULT = new.freeze
    end
  end
end
