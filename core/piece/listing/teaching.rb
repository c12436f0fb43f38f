# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Who is said to teach something, in a sentence: "Jo does the intro", "that's Dre", "Dre's floor work".
      module Teaching
        THIS = "(?:\\s+(?:it|that|this|those|them|these|both|all)(?:\\s+(?:one|bit|part|time))?)?" \
               "(?:\\s+(?:this|that)\\s+(?:time|one|bit))?"
        DOES = /\A(?:first(?:ly)?\s+)?(?<who>#{Names::MANY})(?:\s+|(?='s|s'))(?:#{Names::DID})(?![\p{L}'])#{THIS}
          (?:\s+(?<what>.+))?\z/xi
        THATS = /\A(?:(?:and\s+)?(?:that'?s|that\s+is|it'?s|with|by|from|taught\s+by|choreographed\s+by|
          choreo(?:\s+by)?|
          teacher|led\s+by|under)\s+)(?<who>#{Names::MANY})(?:\s+(?:too|again|together|as\s+well))?\z/xi
        HIS = /\A(?<who>#{Names::ONE})'s?\s+(?<what>.+)\z/i
        GIVE = /\A(?:give|let)\s+(?<who>#{Names::ONE})\s+(?:do\s+|have\s+)?(?:the\s+)?(?<what>.+)\z/i
        ONLY = /\A(?<who>#{Names::MANY})\s+(?:only|alone|this\s+time)\z/i
        BIT = /\A(?:bit|part|thing|section|piece|one|turn)\z/i
        # Words of sentences that say who teaches.
        JOINTS = [THIS, DOES, THATS, GIVE, ONLY, BIT, /first(?:ly)?/].freeze
        private_constant :THIS, :DOES, :THATS, :HIS, :GIVE, :ONLY, :BIT

        module_function

        # [names, what is left of the text] where it says who teaches, or nil. named: whether a name came before;
        # taught: answers whether somebody is known to teach.
        def find(text, named:, taught:)
          does(text,
               taught) || give(text, taught) || only(text, taught) || thats(text, named, taught) || his(text, taught)
        end

        def does(text, taught)
          match = DOES.match(text)
          return unless match && people?(match[:who], taught)

          names = Names.split(match[:who])
          [names, match[:what].to_s] unless match[:plural] && names.size < 2
        end

        def give(text, taught)
          match = GIVE.match(text)
          [Names.split(match[:who]), match[:what]] if match && people?(match[:who], taught)
        end

        def only(text, taught)
          match = ONLY.match(text) or return
          names = Names.split(match[:who])
          [names, ""] if names.any? && names.all?(&taught)
        end

        def thats(text, named, taught)
          match = THATS.match(text)
          return unless match && people?(match[:who], taught)

          names = Names.split(match[:who])
          loose = match[0].match?(/\A(?:with|from|it'?s)\b/i)
          return if loose && (!named || (Names.shape(match[:who]) == :small && names.none?(&taught)))

          [names, ""]
        end

        def his(text, taught)
          match = HIS.match(text)
          return unless match && people?(match[:who], taught)
          return [[match[:who]], ""] if match[:what].match?(BIT)

          [[match[:who]], match[:what]] if taught.call(match[:who])
        end

        def people?(who, taught)
          names = Names.split(who)
          names.any? && names.all? { |name| taught.call(name) || Names.shape(name) }
        end
        private_class_method :does, :give, :only, :thats, :his, :people?
      end
    end
  end
end
