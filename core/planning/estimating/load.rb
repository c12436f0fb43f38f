# frozen_string_literal: true

module Core
  module Planning
    # What each choreographer teaches: sections, new eights (a repeat counts once) and minutes.
    class Load
      Share = Struct.new(:choreographer, :sections, :eights, :minutes, keyword_init: true)

      # minutes: a callable, a section => the minutes it takes; those of the estimate where none is given.
      def initialize(work, estimate: Estimate.new, minutes: ->(section) { estimate.learn(section).minutes })
        @work = work
        @minutes = minutes
      end

      # One Share per choreographer in order of the piece; nil stands for "nobody yet". What several teach together is
      # shared between them.
      def shares
        who = @work.sections.flat_map { |section| teachers(section) }.uniq
        who.map { |id| share(id, @work.sections.select { |section| teachers(section).include?(id) }) }
      end

      private

      def teachers(section) = section.teachers.empty? ? [nil] : section.teachers

      def share(choreographer, sections)
        Share.new(
          choreographer:,
          sections:,
          eights: taught(sections).sum { |section| part(section, section.new_eights + changed_eights(section)) },
          minutes: taught(sections).sum { |section| part(section, @minutes.call(section)) }
        )
      end

      # What is known already takes no teaching.
      def taught(sections) = sections.reject(&:known)

      # One teacher's part of something.
      def part(section, amount)
        count = teachers(section).size
        count == 1 ? amount : amount.fdiv(count)
      end

      def changed_eights(section)
        @work.links
          .select { |link| link.section.id == section.id }
          .sum { |link| link.danced.select(&:changed).sum { |d| d.row.counts } / 8.0 }
      end
    end
  end
end
