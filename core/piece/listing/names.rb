# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Whether words could be the name of somebody who teaches, and how several names stand together.
      module Names
        WORD = "[\\p{L}][\\p{L}\\p{M}'.-]*"
        CAPITAL = "(?-i:[\\p{Lu}])[\\p{L}\\p{M}'.-]*"
        FURTHER = "(?:\\s+(?:(?:#{Words::PARTICLES.join('|')})\\s+)?#{CAPITAL}){0,3}".freeze
        ONE = "(?:(?:#{Words::TITLES})\\.?\\s+)?#{WORD}#{FURTHER}".freeze
        BETWEEN = %r{\s*(?:[&+/,]|\b(?:and|with|plus|et|und|y)\b)\s*}i
        HELPING = /\s+(?:helping|assisting|helps|assists|too|together|both|as\s+well)\z/i
        DID = "(?:does|has|had|takes|teaches|leads|sets|makes|gets|covers|(?<plural>do|have|take|teach|lead)|" \
              "will\\s+(?:do|teach|take)|is\\s+(?:doing|teaching|taking)|(?:'s|s')\\s+" \
              "(?:doing|teaching|taking|got|making|setting|choreographing))"
        MANY = "#{ONE}(?:\\s*(?:&|\\+|\\/|,\\s*and|and|with)\\s*#{ONE})*".freeze
        # Whoever types it, whose name the list does not say.
        SELF = /\A(?:me|myself|i|us)\z/i
        TITLE = /\A#{Words::TITLES}\.?\s/i
        private_constant :WORD, :CAPITAL, :FURTHER, :TITLE

        module_function

        # "Jo, Mel & Ann helping" => ["Jo", "Mel", "Ann"]
        def split(text)
          said = text.sub(HELPING, "").sub(/\A(?:both|by|taught\s+by|that'?s|it'?s)\s+/i, "")
          said.split(BETWEEN).map { |name| name.sub(HELPING, "").strip.delete_suffix(".").sub(/'s?\z/, "") }
            .reject { |name| name.empty? || name.match?(SELF) }
        end

        # :capital, :small (one word without a capital letter, or a title and one) or nil, where it cannot be names.
        def shape(text)
          names = split(text)
          return if names.empty? || names.size > 5

          shapes = names.map { |name| shape_of(name) }
          return unless shapes.all?

          shapes.include?(:small) ? :small : :capital
        end

        def shape_of(name)
          words = name.split
          titled = name.match?(TITLE)
          words = words.drop(1) if titled
          return unless words.size.between?(1, 4) && name.length <= 80 && named?(words)

          return :capital if titled || words.all? { |word| capital?(word) }

          :small if words.size == 1
        end

        def named?(words)
          words.any? { |word| name?(word) } && words.all? { |word| name?(word) || Words::PARTICLES.include?(word) }
        end

        def capital?(word) = word.match?(/\A\p{Lu}|\A[^\p{Ll}]/) || Words::PARTICLES.include?(word)

        def name?(word)
          word.match?(/\A\p{L}[\p{L}\p{M}'.-]*\z/) && !Words.common?(word) &&
            (word.match?(/\A\p{Lu}/) || !(word.match?(/(?:ing|ly|ed|ness|tion|wards?)\z/i) || step?(word)))
        end

        def step?(word) = !Movement::Vocabulary::DEFAULT.match([word.downcase], 0).nil?
        private_class_method :shape_of, :named?, :capital?, :name?, :step?
      end
    end
  end
end
