# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Orders that come after the list: "swap B and C", "put the duet before the bridge", "drop the second chorus".
      class Afterwards
        SWAP = /\A(?:swap|switch|exchange)\s+(?<a>.+?)\s+(?:and|with|&|for)\s+(?<b>.+?)(?:\s+(?:round|over))?[.!]?\z/i
        PUT = /\A(?:(?:put|move|do|have|bring)\s+)?(?<a>.+?)\s+(?:goes|comes|should\s+(?:go|come|be)|to|up|back|
          straight)?\s*
          (?<where>before|after|in\s+front\s+of|behind|ahead\s+of)\s+(?<b>.+?)[.!]?\z/xi
        EDGE = /\A(?:put|move)\s+(?<a>.+?)\s+(?:to|at|right\s+at)\s+the\s+(?<edge>end|start|beginning|top|
          front)[.!]?\z/xi
        DROP = /\A(?:drop|cut|lose|skip|delete|remove|scrap|leave\s+out|take\s+out|no)\s+(?<a>.+?)(?:\s+out)?[.!]?\z/i
        WHICH = /\A(?:the\s+)?(?:(?<nth>first|second|third|fourth|last|1st|2nd|3rd|4th)\s+)?(?<name>.+?)
          (?:\s+(?<again>again|repeat))?\z/xi
        NTH = { "first" => 0, "1st" => 0, "second" => 1, "2nd" => 1, "third" => 2, "3rd" => 2,
                "fourth" => 3, "4th" => 3,
                "last" => -1 }.freeze
        private_constant :SWAP, :PUT, :EDGE, :DROP, :WHICH, :NTH

        # links: [link, …] that answer section; known: answers the position of a section by its name, or nil.
        def initialize(links, known)
          @links = links
          @known = known
        end

        # The links in their new order, :which where it does not say which of several, or nil: no such order.
        def after(text)
          swap(text) || put(text) || edge(text) || drop(text)
        end

        private

        # Of several of a name, those two that stand nearest to each other.
        def swap(text)
          match = SWAP.match(text) or return
          pairs = all(match[:a]).product(all(match[:b])).reject { |a, b| a.equal?(b) }
          a, b = pairs.min_by { |one, other| (place(one) - place(other)).abs }
          a && @links.map do |link|
            if link.equal?(a)
              b
            else
              (link.equal?(b) ? a : link)
            end
          end
        end

        def put(text)
          match = PUT.match(text) or return
          between(match) do |a, b|
            rest = without(a)
            rest.insert(rest.index { |each| each.equal?(b) } + (match[:where].match?(/after|behind/i) ? 1 : 0), a)
          end
        end

        def edge(text)
          match = EDGE.match(text) or return
          one(match[:a]) { |a| match[:edge].casecmp?("end") ? [*without(a), a] : [a, *without(a)] }
        end

        def drop(text)
          match = DROP.match(text) or return
          one(match[:a]) { |a| without(a) }
        end

        def between(match)
          one(match[:a]) { |a| one(match[:b]) { |b| a.equal?(b) ? nil : yield(a, b) } }
        end

        def place(link) = @links.index { |each| each.equal?(link) }
        def without(link) = @links.reject { |each| each.equal?(link) }

        # [link, …] that words may mean: of several the one whose number is said.
        def all(text)
          own = @links.select { |link| !link.called.empty? && same?(link.called, text) }
          return own if own.any?

          said = WHICH.match(text.strip)
          named = said && @links.select { |link| link.section == @known.call(said[:name]) }
          return [named[NTH[said[:nth].downcase]]].compact if said&.[](:nth) && named.any?

          @links.select { |link| link.section == @known.call(text.strip) }
            .then { |found| found.empty? && said&.[](:again) ? named.last(1) : found }
        end

        def same?(name, text)
          StructureReader.fold(name) == StructureReader.fold(text).sub(/\Athe\s+/, "")
        end

        # Yields the one link that is meant.
        def one(text)
          found = all(text)
          return if found.empty?

          found.size > 1 ? :which : yield(found.first)
        end
      end
    end
  end
end
