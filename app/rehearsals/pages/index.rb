# frozen_string_literal: true

module App
  module Rehearsals
    module Pages
      # The studio's rehearsals by week, its rooms, and forms to add both.
      class Index
        attr_reader :member, :errors

        def initialize(member, now, errors: {}, typed: {})
          @member = member
          @now = now
          @errors = errors
          @typed = typed
        end

        def title = I18n.t("ways.rehearsals")
        def screen = :rehearsals
        def director? = member.director?
        def studio = member.studio
        def rooms = @rooms ||= studio.rooms.open.to_a
        def value(name, default = "") = @typed.key?(name) ? @typed[name].to_s : default
        def day?(number) = Array(@typed["days"]).map(&:to_i).include?(number)
        def room?(room) = @typed.key?("rooms") ? Array(@typed["rooms"]).include?(room.id.to_s) : true
        def weeks = upcoming.group_by { |rehearsal| rehearsal.date.beginning_of_week }
        def upcoming = @upcoming ||= studio.rehearsals.standing.where(date: @now.to_date..).includes(:rooms).to_a
        def past = studio.rehearsals.standing.where(date: ...@now.to_date).count

        def used
          @used ||=
            Reading::StandingSlots.standing(studio, upcoming).group_by(&:rehearsal_id)
              .transform_values { |slots| slots.count(&:work?) }
        end

        def hours = Shared::Amount.of(upcoming.sum(&:minutes) / 60.0)
      end
    end
  end
end
