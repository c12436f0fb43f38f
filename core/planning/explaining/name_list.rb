# frozen_string_literal: true

module Core
  module Planning
    # Names one after another, the same name counted, cut after a few: "Ada, 2 × Bram and 4 more".
    class NameList
      # say: a callable (key, **values) => text.
      def initialize(say:) = @say = say

      # names: [text]; most: how many are named. Answers a text, empty where there are none.
      def of(names, most)
        counted = names.tally.map { |name, times| times > 1 ? "#{times} × #{name}" : name }
        shown = counted.first(most)
        shown << @say.call("lists.more", count: counted.size - most) if counted.size > most
        return shown.join if shown.size < 2

        "#{shown[0..-2].join(', ')} #{@say.call('lists.and')} #{shown.last}"
      end
    end
  end
end
