# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # A clause that names nothing: a sentence, a heading, a section without a length.
      module Sentences
        private

        # Words that name nothing and are long: a sentence that only mentions a section.
        def only_words?
          @clause.length.nil? && @clause.name && !@clause.of && taught.empty? && @draft.at(@clause.name).nil? &&
            !(@clause.echo? && @draft.at(@clause.name, loose: true)) && !@draft.saved_name?(@clause.name) &&
            (!@clause.echo? || @clause.name.split.size > 3) && !@clause.unplaced? && !@clause.known?
        end

        def sentence
          text = @whole || @line.said
          kind = Remark.kind(text, first: @draft.links.empty? && @draft.waiting.empty?, about: mentions)
          return open if kind == :section || Remark.part?(@clause.name) || (@line.from && kind == :ask)
          return ask(:talk, text) if kind == :ask

          title(text)
          @draft.remark(@at, @line.text)
        end

        # The first line that is no section is what the piece is called.
        def title(text)
          return if @draft.facts[:title] || @draft.remarks.any? || @draft.sections.any?
          return if text.match?(/[.!?:]\s*\z/) || text.split.size > 6 || Remark.heading?(text)

          @draft.facts[:title] = text[0, 80]
        end

        # Where a section's name stands in the line: :first, :in or nil. A name of one letter only as it is written.
        def mentions
          text = " #{@line.said.gsub(/[,;:.!]/, ' ').squeeze(' ')} "
          low = text.downcase
          starts = low.sub(/\A (?:(?:and|end|then|with|the|do|back to) )*/, " ")
          found = @draft.sections.map(&:name).select do |name|
            next low.include?(" #{@draft.fold(name)} ") if name.length > 1

            text.match?(/ #{Regexp.escape(name)} (?!\p{Ll}+ing)/)
          end
          return if found.empty?

          found.any? { |name| starts.start_with?(" #{@draft.fold(name)} ") } ? :first : :in
        end
      end
    end
  end
end
