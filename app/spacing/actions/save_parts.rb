# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Saves which groups dance a section and when: offsets, holds, the other side, what they do besides.
      class SaveParts
        def initialize(section, params, account, today)
          @section = section
          @piece = section.piece
          @params = params
          @account = account
          @today = today
        end

        def run
          faults = errors
          return Shared::Result.no(faults) if faults.any?

          Reading::EditSection.run(@section, @params["lock_version"], @account, @today) { save }
        end

        private

        def save
          @section.parts.where.not(group_id: chosen.map(&:id)).delete_all
          chosen.each do |group|
            (
              @section.parts.find_by(group_id: group.id) ||
                @section.parts.new(studio_id: @section.studio_id, group_id: group.id)
            ).update!(values(group))
          end
          @section.touch
          @piece.touch
          Shared::KeepRevision.new(@piece, @account).record("#{@section.name}: groups")
          Shared::Result.ok
        end

        # Where a group waits on the way: as it was kept, or as its eights say.
        def pauses(group)
          kept = @section.parts.find { |part| part.persisted? && part.group_id == group.id }
          return kept.pauses if kept

          said_parts.find { |part| part.group == group.id }&.pauses.to_a
        end

        def said_parts
          @said_parts ||=
            Records::Mapping::Works.load(@piece).sections.find { |each| each.id == @section.id }.parts
        end

        def chosen = @chosen ||= @piece.groups.select { |group| given(group)["in"] == "1" }

        def given(group)
          if @params["parts"].is_a?(Hash) && @params["parts"][group.id.to_s].is_a?(Hash)
            @params["parts"][group.id.to_s]
          else
            {}
          end
        end

        def values(group)
          own = given(group)
          {
            start_offset: whole(own["offset"]) || 0,
            hold_before: whole(own["hold_before"]) || 0,
            hold_after: whole(own["hold_after"]) || 0,
            mirrored: own["mirrored"] == "1",
            pauses: own.key?("pauses") ? own["pauses"] : pauses(group),
            stretches: StretchText.parse(own["stretches"]),
            level: own["level"].presence_in(Records::Section::EDGE["level"]),
            place: own["place"].to_s.strip[0, 60].presence,
            facing: whole(own["facing"])&.then { |facing| facing if facing.between?(1, 8) }
          }
        end

        def offset?(text) = whole(text)&.then { |counts| Records::Part::OFFSETS.cover?(counts) }
        def hold?(text) = whole(text)&.then { |counts| Records::Part::HOLDS.cover?(counts) }
        def whole(text) = text.to_s.strip.empty? ? nil : Integer(text.to_s.strip, exception: false)

        def errors
          chosen.each_with_object({}) do |group, faults|
            own = given(group)
            faults["#{group.id}.offset"] = I18n.t("lines.faults.offset") unless own["offset"].to_s.strip.empty? ||
              offset?(own["offset"])
            %w[hold_before hold_after].each do |name|
              faults["#{group.id}.#{name}"] = I18n.t("lines.faults.hold") unless own[name].to_s.strip.empty? ||
                hold?(own[name])
            end
            faults["#{group.id}.stretches"] = I18n.t("lines.faults.stretches") if StretchText.parse(
              own["stretches"]
            ).nil?
          end
        end
      end
    end
  end
end
