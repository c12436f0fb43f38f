# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # How a clause repeats: what it takes out of its fields for that.
      module Echoing
        PRONOUN = /\A(?:(?:and|then|so)\s+)*(?:we|i|you|they|it|us|all|everybody|then|and)\z/i
        private_constant :PRONOUN

        private

        # "v2 as v1", "verse 2 same as verse 1, different ending"
        def like(text)
          match = Echo::LIKE.match(text) or return text
          return text if match[:name].match?(PRONOUN)

          of, tail = known_start(match[:of])
          return text unless of

          @of = of
          @again = true
          spend(text, match[:name], match[:of])
          [match[:name].sub(%r{[\s\p{Pd}:,/]+\z}, ""), tail].compact.join(", ")
        end

        # [the known section that words begin with, the words after it], or nil.
        def known_start(text)
          words = text.split(/(?<=[\s,;])/)
          words.size.downto(1) do |size|
            of = @known.call(plain(words.first(size).join).sub(/[\s,;]+\z/, ""))
            return [of, words.drop(size).join] if of
          end
          nil
        end

        def take_part(text)
          match = Echo::PART.match(text) || Echo::PIECES.match(text) or return text
          of = match[:of] && @known.call(plain(match[:of]))
          return text unless of || (match[:of].nil? && (known_name || again? || match[0].match?(/\b(?:only|
            just)\b/i)))

          @of ||= of
          @part = which(match)
          @spent << match[0]
          "#{match.pre_match} #{match.post_match}"
        end

        def which(match)
          return [:from, match[:from].to_i, (match[:to] || match[:from]).to_i] if match.names.include?("from")
          return [match[:which].downcase, :half] if match[:half]

          number = Amount.of(match[:n] || "1") || 1
          unit = { "c" => 1, "b" => nil }.fetch(match[:unit][0].downcase, 8)
          [match[:which].downcase, unit ? number * unit : :bars]
        end

        # Repeats of what is known ("Smoke, again"), or of what was named before in the line.
        def echoes(text, index)
          text = side(text)
          text = times_said(text)
          match = Echo::AGAIN.match(text) or return text
          @again = true
          @spent << match[0]
          before, after = [match.pre_match, match.post_match].map { |each| strip(each) }
          index.zero? && before.empty? ? [after] : [before, after]
        end

        def side(text)
          left = Echo::LEFT.match(text)
          left = nil unless left && (@known.call(plain(strip(left.pre_match))) || known_name)
          match = Echo::SIDE.match(text) || left or return text
          last = text.match?(/\blast\s+(?:one|time)\b/i)
          last ? @last_mirrored = true : @mirrored = true
          @spent << match[0] << (last ? "last one" : "")
          "#{match.pre_match.sub(/\b(?:and\s+)?(?:the\s+)?last\s+(?:one|time)\s*\z/i, '')} #{match.post_match}"
        end

        def times_said(text)
          match = Echo::TIMES.match(text) or return text
          @times = Echo.times(match)
          @spent << match[0]
          "#{match.pre_match} #{match.post_match}"
        end

        def echo_so_far? = echo? || (known_name && @length.nil?)

        # "B facing the back", of a B that came before.
        def with_changes
          match = Echo::CHANGED.match(@name) || @name.match(/(?<=\S)['′]+\z/) or return
          name = @name[0...match.begin(0)].strip.sub(Words::TRAIL, "")
          return unless match.begin(0).positive? && @known.call(name) && @known.call(@name).nil?

          spend(@name[0...match.begin(0)], name)
          changed!(@name[match.begin(0)..])
          @name = name
        end

        def changed!(text)
          @changed ||= []
          @remarks << plain(text) if text.match?(/\p{L}/)
        end
      end
    end
  end
end
