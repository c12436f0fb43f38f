# frozen_string_literal: true

module Core
  module Movement
    # Whether a typed eight is freestyle and nothing else: nobody teaches that, so it takes no teaching. An aid for
    # minutes; what the body does in it is read by the line reader.
    #
    #   Freestyle.whole?("1-8 freestyle!")  # => true
    module Freestyle
      NUMBERS = /[\d&+.,:;!?()\[\]–—-]+/
      private_constant :NUMBERS

      module_function

      def whole?(text)
        words = text.to_s.downcase.gsub(NUMBERS, " ").split.join(" ")
        names.include?(words)
      end

      # What freestyle is called.
      def names
        @names ||= Vocabulary::DEFAULT.steps.select { |step| step.kind == :free }
          .flat_map { |step| [step.name, *step.aliases] }.to_set.freeze
      end
      private_class_method :names
    end
  end
end
