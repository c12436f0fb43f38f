# frozen_string_literal: true

module Core
  module Movement
    class Elements
      # Words that are less than they look: "half the group" turns nobody, "your own time" leaves no feet to anybody.
      module Less
        DRAWING = %w[draw draws drawing trace traces tracing sweep sweeps arms arm hand hands toe].freeze
        OF_PEOPLE = /\A(?:of )?(?:the (?:group|class|cast|room)|you\b|us\b|them\b)/
        PART_WAY = %w[way down up].freeze
        # "give me some attitude", "with attitude": no step.
        ASKED = %w[some with more of that the of your much].freeze
        # "the whole time", "with your whole body": nobody goes round.
        SPANS = %w[time times thing body eight line song phrase while foot way speed out weight arm arms].freeze
        # "end up", "line up": nobody gets up.
        ENDS_UP = %w[
          end ends ended ending finish finishes finishing wind winds line lined lining set mess speed hurry warm make
        ].to_set.freeze
        # "finger clicks, low to high": where they are done.
        LOW_TO_HIGH = [%w[low to high], %w[high to low]].freeze
        COMES = %w[come comes coming].freeze
        COMES_TO = /\A(?:back )?(?:to|into|onto) (?:face|kneeling|standing|sitting|lying|centre|center|neutral)\b/
        LEAVES = %w[leave leaves leaving].freeze
        private_constant :COMES, :COMES_TO, :LEAVES, :ENDS_UP, :LOW_TO_HIGH, :DRAWING, :OF_PEOPLE, :PART_WAY, :ASKED,
                         :SPANS

        private

        # How many words from here on say nothing by themselves, or nil: "end up", "carry on", "low to high".
        def idle_words(word, at)
          return 1 if word == "up" && ends_up?(at)
          return 1 if comes_to?(word, at) || leaves_part?(word, at)
          return 2 if [%w[carry on], %w[leave it], %w[leaves it]].include?(@words[at, 2])

          3 if there_and_back?(at) || LOW_TO_HIGH.include?(@words[at, 3])
        end

        # "up and down": where it began.
        def there_and_back?(at) = at.positive? && [%w[up and down], %w[down and up]].include?(@words[at, 3])

        def ends_up?(at) = at.positive? && ENDS_UP.include?(@words[at - 1])

        # "come to kneeling", "come back to face us": what comes of it is said.
        def comes_to?(word, at) = COMES.include?(word) && @words[at + 1, 3].join(" ").match?(COMES_TO)

        # "leave the right leg up": it stays where it is said to be.
        def leaves_part?(word, at)
          LEAVES.include?(word) && @words[at + 1, 3].compact.any? do |each|
            Lexicon::FEET.include?(each) || Lexicon::PARTS.key?(each)
          end
        end

        # "half the group", "draws a half circle", "half way down": nobody turns.
        def of_people?(word, at)
          return true if @words[at + 1] == "circle" && @words.intersect?(DRAWING)
          return true if %w[half double].include?(word) && TEMPO.include?(@words[at + 1])
          return true if word == "half" && @words[at + 1] == "moon"
          return true if %w[whole full].include?(word) && SPANS.include?(@words[at + 1])

          return false unless word == "half"

          part_way?(at) || @words[at + 1, 3].join(" ").match?(OF_PEOPLE)
        end

        # "half way down"; not "half way round".
        def part_way?(at)
          PART_WAY.include?(@words[at + 1]) && !%w[round around].include?(@words[at + 2])
        end

        # "give me some attitude", "with attitude": no step.
        def asked?(at) = at.positive? && ASKED.include?(@words[at - 1])

        # at: of the word after it.
        def no_choice?(at) = as_it_is?(at) || (%w[own any].include?(@words[at - 1]) && named_next?(at))

        # "however is safe for you", "whatever feels good": how, and not what.
        def as_it_is?(at) = %w[is its feels suits works helps fits safe].include?(@words[at])

        # "in your own time", "round your own small circle": not what is danced is theirs.
        def named_next?(at)
          word = @words[at]
          !word.nil? && !Lexicon::SMALL.include?(word) && !Lexicon::FEET.include?(word) && word != "steps"
        end
      end
    end
  end
end
