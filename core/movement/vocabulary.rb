# frozen_string_literal: true

module Core
  module Movement
    # Finds steps by what people call them. A studio's own steps and nicknames come first.
    #
    #   Vocabulary.new.match(%w[ball ch l r], 0)  # => [Step "ball-change", 2]
    class Vocabulary
      STYLES = [Styles::BASICS, Styles::JAZZ, Styles::BALLET, Styles::STREET, Styles::CONTEMPORARY, Styles::SEATED].freeze
      MOST_WORDS = 4
      FOLDED = { "é" => "e", "è" => "e", "ê" => "e", "î" => "i", "ç" => "c", "ö" => "o" }.freeze

      def self.fold(text) = text.downcase.gsub(/[éèêîçö]/, FOLDED).tr("-", " ").gsub(/[^a-z0-9 ]/, "").squeeze(" ").strip

      attr_reader :steps

      # own: further steps; each hides a known one of the same name.
      def initialize(own: [])
        @steps = [*own, *STYLES.flatten].freeze
        @names = {}
        @exact = @steps.to_h { |step| [step.name, step] }
        @steps.each { |step| [step.name, *step.aliases].each { |name| @names[Vocabulary.fold(name)] ||= step } }
      end

      DEFAULT = new.freeze

      # The step whose name starts at a word, the longest name first: [step, how many words], or nil.
      def match(words, at)
        [MOST_WORDS, words.size - at].min.downto(1) do |count|
          step = @names[words[at, count].join(" ")]
          return [step, count] if step
        end
        nil
      end

      def find(name) = @exact[name] || @names[Vocabulary.fold(name)]
    end
  end
end
