# frozen_string_literal: true

module App
  module Reading
    # How far each section has been taught, by the newest line of its log: to all, or to one group.
    class TaughtSoFar
      def initialize(piece)
        rows = Records::Teaching.where(studio_id: piece.studio_id, section_id: piece.sections.map(&:id)).order(:id)
        @all = {}
        @groups = Hash.new { |sections, id| sections[id] = {} }
        rows.pluck(:section_id, :group_id, :eights).each { |section, group, eights| keep(section, group, eights) }
      end

      # {section id => eights}: as far as every group has it.
      def to_h = @all.merge(@groups.to_h { |id, groups| [id, [@all.fetch(id, 0), *groups.values].min] })

      # Eights of a section that a group has, or 0.
      def of(section_id, group_id) = @groups[section_id].fetch(group_id) { @all.fetch(section_id, 0) }

      # {group id => eights} where a section's groups are not equally far.
      def apart(section_id) = @groups[section_id]

      private

      # What is said of all holds for every group.
      def keep(section, group, eights)
        return @groups[section][group] = eights if group

        @all[section] = eights
        @groups.delete(section)
      end
    end
  end
end
