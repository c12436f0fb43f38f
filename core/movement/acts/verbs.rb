# frozen_string_literal: true

module Core
  module Movement
    class Acts
      # What a verb is, beside what stands with it: a way, a part's, a turn that was begun, a foot that comes down.
      module Verbs
        GOES_DOWN = /\A(?:(?:goes|go|comes|come|gets|get) )?down\z/
        # How a step is danced, and not which it is: "sneaky", "stomping", "softly".
        HOW = /(?:ly|ing|y|ish|like|ed)\z/
        private_constant :HOW, :GOES_DOWN

        private

        # "unwind a full turn": the amount was the turn's.
        def turn_said?(step)
          step.name == "turn" && current&.foot? && !@joined && turns?(current.step) && before&.kind == :amount
        end

        # "explode up", "curl down": however it is done, it is up or down.
        def level_said?(step, element)
          named = current && current.step.nil? && current.unknown.any?
          named && step.level && step.open && element.size == 1 && !@joined
        end

        # "scuba hop", "grand plié": the word before a step says which.
        def qualified?(element)
          current && current.step.nil? && !current.upper? && current.unknown.any? && current.doubts.empty? &&
            current.to == element.at && !@joined && @sides.empty?
        end

        def name_unknown(step)
          return if %w[roll fall].include?(step.name)

          current.step = step
          current.doubts += [:weight] if step.weights.any? && !current.unknown.last.match?(HOW)
          current.noun ||= current.unknown.last
          current.unknown = []
        end

        # "up", "down", "back" after something else only say where to.
        def way?(step, element)
          return true if gathered?(step, element)

          element.size == 1 && current && !@joined && @sides.empty? && step.open && step.kind == :step &&
            (Lexicon::DIRECTIONS.include?(element.word) || element.word == "open")
        end

        # "no kick": what comes behind it begins here.
        def denied(element)
          @begin = element.at if @acts.empty?
        end

        # "and don't put it down": what nobody is to do.
        def denied?(element)
          @denied = false if %w[and with but just then instead].include?(element.word)
          @denied = true if %w[dont never].include?(element.word) && current
          @denied
        end

        # "body to the corner": how far it faces there nobody says.
        def body_to = current.doubts += [:facing]

        # "drag together", "knock the knees together".
        def gathered?(step, element)
          step.name == "close" && %w[together tog].include?(element.word) && current && !current.step&.weights&.any? &&
            !@joined && @sides.empty?
        end

        PLACE = /\A(?:on|onto|at|in|into|to|along|across)\b/
        LYING = ["lie", "kneel", "sit on a chair"].freeze
        private_constant :PLACE, :LYING

        # "draws a circle on the floor", "hands on the floor": nobody lies down by it.
        def lying_word?(step, element)
          return false unless LYING.include?(step.name) && element.word.match?(PLACE)
          return kneeling_word? if step.name == "kneel" && (@noun == "knee" || Lexicon::FEET.include?(current&.noun))
          return true if on_feet?(element) || turning_on_seat?(step) || into_knees?(step, element)

          step.name != "sit on a chair" && others?(element)
        end

        # "sink into your knees": they bend.
        def into_knees?(step, element)
          step.name == "kneel" && element.word.start_with?("into") && current&.step&.level == :low
        end

        # "swivel an eighth on the seat": who turns there sat down before.
        def turning_on_seat?(step)
          step.name == "sit on a chair" && (!@amount.nil? || turns?(current&.step) || current&.step&.name == "swivel")
        end

        # "both feet on the floor", "stomp into the floor": nobody lies down by it.
        def on_feet?(element)
          return true if @noun || current&.step&.name == "feet together"

          element.word.start_with?("into") && current&.foot? && current.step.weights.any? && current.step.level.nil?
        end

        # "right knee on the floor" kneels; "left foot on the right knee" does not.
        def kneeling_word? = @noun != "knee" && current&.foot? && raised

        # "left foot on the right knee": it is lifted there.
        def raised
          current.step = @vocabulary.find("lift")
          true
        end

        # Whether a hip, the arms or a foot that works are on the floor.
        def others?(element)
          return true if element.word.end_with?("hip") && !current&.step&.level
          return false if current.nil? || @joined || whole_body?

          current.upper? || small?(current.step)
        end

        # "body goes to the floor": all of it.
        def whole_body?
          current.layer == :body && @elements.any? { |each| each.kind == :part && each.word == "body" }
        end

        # What a foot or the arms do: "tap the floor".
        def small?(step) = !step.nil? && ((!step.foot.nil? && step.foot != :rise) || step.layer == :arms)

        # "kick R 1, down 2": the foot comes down.
        def foot_down?(step)
          return false unless step.level == :low && step.open && %w[down lower].include?(@elements[@at].word)

          current.nil? ? @after == :gesture && alone? : @joined && gestured?
        end

        def put_down(element)
          sides = current&.foot? ? current.sides.dup : own_sides
          start(element, step: @vocabulary.find("put"), sides:, it: true)
        end

        # "kick L and straight back down": that foot.
        def gestured? = current.foot? && current.step.foot == :free && current.sides.one?

        # "knee R down" on its own kneels; after a lifted knee it only comes down.
        def foot_part(element)
          kneels = @noun == "knee" && element.word.match?(GOES_DOWN) && @after != :gesture
          start(element, step: @vocabulary.find(kneels ? "knee down" : "body"), sides: own_sides)
        end

        # "fall onto L": a step.
        def onto_foot?(step)
          return false unless step.level == :floor && step.open

          following&.word.to_s.match?(/\A(?:onto|on|into)\z/) && following(2)&.kind == :side && !part_at?(3)
        end

        def part_at?(by) = following(by)&.kind == :part

        # "R foot forward and back": no weight on it.
        def there_and_back(way)
          current.step = @vocabulary.find("lift")
          current.ways += [way]
          @joined = false
        end

        # "spiral up", "roll up from the floor".
        def rise_from(act)
          act.doubts += act.step.doubts
          act.step = @vocabulary.find("get up")
        end
      end
    end
  end
end
