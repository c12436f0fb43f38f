# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # A dancer's own line in one link, with the others in grey: what LanesPicture asks of a page.
      class MyLine
        attr_reader :link, :lanes, :groups, :person, :own_groups

        def initialize(link, lanes, groups:, person:, own_groups:, tape:)
          @link = link
          @lanes = lanes
          @groups = groups
          @person = person
          @own_groups = own_groups
          @tape = tape
        end

        def section = link.section
        def tape(_section) = @tape
        def findings = []
        def svg = Shared::LanesPicture.new(self, width: 358, side: 76).svg

        # "you begin 4 counts later, you hold 4 at the end"; empty when you dance it as written.
        def words
          part = section.parts.find { |each| own_groups.include?(each.group) } or return ""
          [
            (I18n.t("lines.you_later", count: part.offset) if part.offset.positive?),
            (I18n.t("lines.you_earlier", count: -part.offset) if part.offset.negative?),
            (I18n.t("lines.you_hold", count: part.hold_after) if part.hold_after.positive?),
            (I18n.t("lines.you_mirrored") if part.mirrored),
            (I18n.t("lines.you_own") if section.own_groups.include?(part.group))
          ].compact.join(", ")
        end
      end
    end
  end
end
