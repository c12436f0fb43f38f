# frozen_string_literal: true

module App
  module Shared
    # How far a section's steps are written, in words.
    module Written
      module_function

      # "Drift is written as far as eight 3", "Comb is not written yet"; nil where all of it is, or the piece's steps
      # are not written at all.
      def line(section, work)
        return if !work.checking.steps || section.written?

        key = section.written.zero? ? "written.not_yet" : "written.as_far_as"
        I18n.t(key, name: section.name, eight: section.written)
      end

      # Lines of all sections of a work, each once.
      def lines(work) = work.sections.reject(&:known).filter_map { |section| line(section, work) }

      # What keeps the two sides of a join from being compared.
      def join(join, work)
        sections = [join.leaving, join.entering].map(&:section).uniq(&:id)
        sections.filter_map { |section| line(section, work) }.join("; ")
      end
    end
  end
end
