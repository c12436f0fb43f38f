# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # What becomes of every word of a clause: none is lost.
      module Accounting
        NUMBERED = /\b(verse|part|section|step|figure|phrase|bridge|movement|scene|wall|version|round|group|
          pass|number|
          dance|solo|duet|combo|block|v|take|act|day|week|term|grade|level)\s+(?=(?:[1-7]|one|two|three|four|five|six)
          (?:[\s,:;]|\z))/xi
        GAP = "\u00A0"
        private_constant :NUMBERED, :GAP

        private

        # What no rule has taken is kept as words.
        def unread(text)
          said = [@spent, @name, @length&.said, @said, @placed.map(&:first), @away, @remarks, @of, @both, @brackets]
          left = said.flatten.compact.flat_map { |each| words_of(each) }.tally.merge("s" => text.length)
          lost = text.tr(GAP, " ").scan(/[\p{L}\p{M}\p{N}]+/).reject do |word|
            left[word.downcase].to_i.positive? && (left[word.downcase] -= 1)
          end
          lost.empty? ? [] : [lost.join(" ")]
        end

        def words_of(text) = text.to_s.downcase.scan(/[\p{L}\p{M}\p{N}]+/)

        # Whatever a rule takes out of a text for good.
        def spend(before, *after)
          kept = after.flat_map { |text| words_of(text) }.tally
          @spent.concat(words_of(before).reject { |word| kept[word].to_i.positive? && (kept[word] -= 1) })
        end

        def unbracket(text)
          text.gsub(/\s*[(\[]([^()\[\]]*)[)\]]?/) do
            @brackets << Regexp.last_match[1].strip
            ", "
          end
        end

        # Numbers that belong to a name ("Verse 1") are no lengths.
        def mask(text) = text.gsub(NUMBERED) { "#{Regexp.last_match[1]}#{GAP}" }

        def plain(text) = text.tr(GAP, " ").gsub(/\s+/, " ").strip

        def strip(text)
          whole = text
          loop do
            short = text.strip.sub(/\A[\s\p{Pd}:+]+(?=\s)/, "").strip.sub(Words::LEAD, "").sub(Words::TRAIL, "").strip
            break short.tap { spend(whole, short) } if short == text.strip || short.empty?

            text = short
          end
        end
      end
    end
  end
end
