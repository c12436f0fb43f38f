# frozen_string_literal: true

module Core
  module Movement
    class GroupWords
      # How people say it, for the names of one piece's groups.
      class Patterns
        NUMBER = "(?:\\d{1,2}|#{Lexicon::NUMBERS.keys.drop(1).join('|')})".freeze
        COUNTS = "(?: counts?| cts?| beats?)?"
        OTHERS = "(?:(?:all )?(?:the )?(?:others|rest)|everyone else|everybody else)"
        ALL = "(?:all|everyone|everybody|together)"
        # A name that no group of the piece has: capitals, several.
        STRANGER = "\\p{Lu}\\p{L}{2,}s"
        BEGINS = "(?:(?:begins?|starts?|comes? in|enters?|goe?s?|follows?|joins?)(?: in)? )?"
        FIRST = "(?:go |goes |begin |begins |start |starts )?first\\b(?:,|;)?\\s*(?:then|and then)\\s+"
        CANON = "(?:in (?:a )?canon,?|a canon,?|canon,?|each(?: group| one)?|every group|" \
                "one after (?:the other|another)),?\\s+(?:by |every |with )?"
        AFTER = "(?:after (?:the )?(?:last|one before|other|previous)(?: one)?|later|apart|behind|between)?\\b"
        HOLDS = "(?:holds?|waits?|freezes?|stays?|stands? still)(?: still)?(?: for)?"
        SIGNS = /\p{Lu}\p{L}+s\b|\b(?:later|apart|others|rest|each|canon|after)\b/
        private_constant :NUMBER, :COUNTS, :STRANGER, :BEGINS, :FIRST, :CANON, :AFTER, :HOLDS, :SIGNS

        attr_reader :later, :first, :apart, :holds, :label, :lead

        # names: of the groups.
        def initialize(names)
          known = names.map { |name| "#{Regexp.escape(name.sub(/s\z/i, ''))}s?" }.sort_by { |each| -each.size }
          @anybody = Regexp.new(known.join("|"), Regexp::IGNORECASE) if names.any?
          groups = known.map { |each| "(?i:#{each})" }
          make(list([*groups, STRANGER]))
          others = [*(list(groups) if groups.any?), OTHERS].join("|")
          @lead = /(?:\A|(?<=[,;.\n]))\s*(?:and |while )?(?<who>#{others})\s+(?=\p{Ll}|\d)/ if names.any?
        end

        # Whether a text can speak of groups at all.
        def speaks?(text) = text.match?(SIGNS) || (!@anybody.nil? && text.match?(@anybody))

        private

        # One name, or several: "Scouts, Nurses and Builders".
        def list(names)
          one = "(?:the )?(?<![\\p{L}\\d])(?:#{names.join('|')})(?![\\p{L}\\d])"
          "#{one}(?:(?:\\s*,\\s*|\\s*(?:and|&|\\+)\\s*)#{one})*"
        end

        def make(list)
          count = "(?<n>#{NUMBER})#{COUNTS}"
          @later = later_of(list, count)
          @first = /(?<who>#{list})\s+#{FIRST}(?<then>#{OTHERS}|#{list})(?:\s+#{BEGINS}(?:after )?#{count}(?: later)?)?/
          @apart = /(?:(?<who>#{list})[,:]?\s+)?#{CANON}#{count}\s*#{AFTER}/
          @holds = /(?<who>#{list})\s+#{HOLDS}(?:\s+#{range}|\s+#{count})?(?=\s*(?:[,;.)]|\z))/
          @label = /(?<who>#{list}|#{OTHERS}|#{ALL})\s*:\s*/
        end

        def range = "(?<from>\\d{1,2})\\s*[-–]\\s*(?<to>\\d{1,2})"

        def later_of(list, count)
          after = "(?:later|after(?! the (?:last|one|other))|behind)\\b(?: (?:the )?(?:others|rest))?"
          /(?<who>#{list}|#{OTHERS})\s+#{BEGINS}#{count} #{after}/
        end
      end
      private_constant :Patterns
    end
  end
end
