# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # How a repeat is said: again, so often, on the other side, with changes, only a part of it.
      module Echo
        AGAIN = /\b(?:(?:and\s+)?(?:yet\s+|once\s+)?again|once\s+more|one\s+(?:more|last|final)\s+time|
          (?:the\s+|a\s+)?(?:second|third|fourth|fifth|last|2nd|3rd|4th|5th)\s+time(?:\s+(?:round|around|through))?|
          repeat(?:s|ed)?|rpt\.?|rep\b\.?|reprised?|ditto|as\s+before|encore|
          (?:the\s+|it'?s\s+the\s+)?same(?!\s+time)(?:\s+(?:again|thing|thing\s+again|as\s+before|
            as\s+above))?)(?=[\s,.!]|\z)/xi
        NUMBER = "(?:\\d{1,2}|two|three|four|five|six|seven|eight)"
        TIMES = /(?<![\p{L}\d])(?:(?<n>#{NUMBER})\s*(?:[x×]|times|goes)(?![\p{L}\d])|
          [x×]\s?(?<m>\d{1,2})(?!\s*[x×\d])|
          (?<word>twice|thrice))(?![\p{L}\d])/xi
        TURN = "(?:(?:start|begin|do|dance|go)(?:ing|s|ed|ning)?\\s+(?:it\\s+)?)?(?:on|to|from|off|over|with)?"
        LIMB = "(?:sides?|way(?:\\s+(?:round|around))?|foot|leg|hand|arm|direction|lead)"
        SIDE = %r{(?<!\p{L})(?:but\s+|and\s+|just\s+)?(?:(?:all\s+)?#{TURN}\s*(?:the\s+)?(?:other|opposite|
          opp\.?|reverse)
          \s+#{LIMB}|(?:in\s+)?mirror(?:ed|ing|\s+image)|(?<=\s)mirror(?=\s*\z)|(?:and\s+)?flip(?:ped|\s+it)|
            (?<=\s)flip(?=\s*\z)
          |o/s(?!\p{L})|reversed\s+sides?)(?!\p{L})}xi
        # Only of what came before: a first section that begins on the left is just one.
        LEFT = /(?<!\p{L})(?:but\s+|and\s+)?(?:(?:start|begin)(?:ing|s)?\s+)?(?:on|to|from|off|with)\s+(?:the\s+)?left
          (?:\s+#{LIMB})?(?!\p{L})/xi
        ALTERED = /\A(?:with\ changes|changes|different|altered)
          (?:\s*(?:in|on|to|at)?\s*(?:eights?)?\s*(?<rows>\d[\d\s,&–-]*))?\z/xi
        CHANGED = /\b(?:chang(?:es?|ed|ing)|different(?:ly)?|differs?|alter(?:ed|s)?|new\s+(?:end|ending|start|arms)|
          swap(?:ped|s|ping)?|instead|roles?|backwards?|(?:in\s+)?reversed?|retrograde|slower|faster|(?:half|
            double)[\s-](?:time|speed)|
          in\s+canon|facing\s+\p{L}+|(?:but|except|only|without|minus|shorter|longer|extended|cut)(?=\s|\z))/xi
        # A change that makes it longer or shorter, nobody knows by how much.
        AMOUNT = /\b(?:half|shorter|longer|extra|less|fewer|cut|extended|extend)\b/i
        WHICH = "(?<which>last|final|first|opening|second)"
        PART = /(?:\b(?:but\s+)?(?:only|just)\s+)?(?:\bthe\s+)?\b#{WHICH}\s+(?:(?<half>half)|
          (?:(?<n>#{Amount::COUNTED})\s*)?
          (?<unit>eights?|8s|x\s?8'?s?|counts?|cts|bars?))\b(?<only>\s+only)?(?:\s+of\s+(?:the\s+)?(?<of>.+))?/xi
        PIECES = /\b(?:(?:only|just)\s+)?eights?\s+(?<from>\d{1,2})(?:\s*(?:-|–|to)\s*(?<to>\d{1,2}))?(?:\s+only)?
          (?:\s+of\s+(?:the\s+)?(?<of>.+))?\z/xi
        LIKE = /\A(?<name>.{1,60}?)\s*(?:,?\s*(?:is\s+|it'?s\s+)?(?:just\s+)?(?:the\s+)?same\s+as|\bas\b|\blike\b|=|
          (?:is\s+)?(?:just\s+)?(?:a\s+)?repeats?(?:\s+of)?)\s+(?:in\s+)?(?<of>.+)\z/xi
        TOP = /\A(?:(?:and|then|now|go|we|back|it|all|do|repeat|the|whole|thing|piece|everything|of|that)\s+)*
          (?:from\s+the\s+(?:top|beginning|start)|back\s+to\s+the\s+(?:top|beginning|start)|
          whole\s+(?:thing|piece|lot)|everything)(?:,?\s+(?:once\s+)?(?:again|more))?
          (?<side>,?\s+(?:on\s+the\s+)?other\s+side)?[.!]?\z/xi
        BEFORE = /\A(?:(?:the\s+)?same(?:\s+thing)?|and|then|but|it|all|that|do|repeat|,|\s|the)*\z/i

        module_function

        # {"with changes in 4, 5-6" => [4, 5, 6]}
        def numbers(text)
          text.to_s.scan(/(\d{1,2})(?:\s*[–-]\s*(\d{1,2}))?/).flat_map { |a, b| (a.to_i..(b || a).to_i).to_a }
        end

        # How often a match of TIMES says.
        def times(match)
          return match[:word].casecmp?("twice") ? 2 : 3 if match[:word]

          (Amount.of(match[:n] || match[:m]) || 1).clamp(1, 20)
        end
      end
    end
  end
end
