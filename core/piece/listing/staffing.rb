# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Who teaches what a clause makes.
      module Staffing
        private

        # Who teaches a section: whoever is said first and is known; new names wait for a tap.
        def staff(at)
          section = @draft.sections[at]
          names = taught
          names.each { |name| @mention.call(name, said?(name)) }
          names = @everything if names.empty?
          found = names.map { |name| @staff.find(name) || name }.uniq
          known, strangers = found.partition { |name| @staff.exactly(name) }
          return keep_teacher(at, known + strangers) if section.teacher || section.strangers.any?

          section.teacher, *section.others = known
          section.strangers = strangers
        end

        def said?(name) = @clause.said.include?(name)

        # A repeat keeps its teacher; who takes it this time stays as words.
        def keep_teacher(at, names)
          section = @draft.sections[at]
          had = [section.teacher, *section.others, *section.strangers].compact
          other = taught.any? && (names - had).any?
          return unless other

          @draft.note(@at, :two_teachers, section.name, had.first)
          @draft.aside(@at, [@line.text], at)
        end

        # Names of who teaches it as said, without those who do not.
        def taught
          @taught ||= begin
            placed = @clause.placed.select { |text, shape| shape == :known || @staff.all?(text) }.map(&:first)
            names = (@clause.said + placed).flat_map { |text| @staff.exactly(text) ? [text] : Names.split(text) }
            away = @clause.away.map { |name| @draft.fold(@staff.find(name) || name) }
            names.reject { |name| away.include?(@draft.fold(@staff.find(name) || name)) }.uniq
          end
        end

        # Who teaches a section as it was just defined.
        def owners(at)
          section = @draft.sections[at]
          teachers || [section.teacher, *section.others, *section.strangers].compact.then { |all| all if all.any? }
        end

        def teachers = taught.map { |name| @staff.find(name) || name }.uniq.then { |names| names if names.any? }

        # "Jo", where only "Jo & Mel" is known.
        def half_a_pair
          return if @clause.alone?

          said = (@clause.said + @clause.placed.map(&:first)).find do |name|
            !@staff.known?(name) && @staff.half_of(name)
          end
          return unless said

          pair = @staff.half_of(said)
          ask(:half_a_pair, said, typed: [pair, "#{said} alone"].map { |name| @line.text.sub(/\b#{said}\b/, name) })
        end
      end
    end
  end
end
