# frozen_string_literal: true

module Core
  module Planning
    # What each choreographer teaches: sections, new eights (a repeat counts once) and minutes.
    class Load
      Share = Struct.new(:choreographer, :sections, :eights, :minutes, keyword_init: true)

      def initialize(work, estimate: Estimate.new)
        @work = work
        @estimate = estimate
      end

      # One Share per choreographer in order of the piece; nil stands for "nobody yet".
      def shares = @work.sections.group_by(&:choreographer).map { |id, sections| share(id, sections) }

      private

      def share(choreographer, sections)
        Share.new(choreographer:, sections:, eights: sections.sum(&:eights) + changed_eights(sections),
                  minutes: sections.sum { |section| @estimate.learn(section).minutes })
      end

      def changed_eights(sections)
        ids = sections.map(&:id)
        @work.links
          .select { |link| ids.include?(link.section.id) }
          .sum { |link| link.danced.select(&:changed).sum { |d| d.row.counts } / 8.0 }
      end
    end
  end
end
