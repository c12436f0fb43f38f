# frozen_string_literal: true

module App
  module Rehearsals
    module Pages
      # One rehearsal, to be changed: when, where, of what kind, and what people were told of it.
      class Change
        attr_reader :member, :rehearsal, :errors

        def initialize(rehearsal, member, now, errors: {}, typed: {})
          @rehearsal = rehearsal
          @member = member
          @now = now
          @errors = errors
          @typed = typed
        end

        def title = "#{Shared::Dates.day(rehearsal.date)} · #{I18n.t('ways.rehearsals')}"
        def screen = :rehearsals
        def studio = member.studio
        def kinds = Records::Rehearsal::KINDS
        def rooms = studio.rooms.open.or(studio.rooms.where(id: rehearsal.rooms.map(&:id))).order(:id).to_a
        def room?(room) = @typed.key?("rooms") ? @typed["rooms"].include?(room.id.to_s) : rehearsal.rooms.include?(room)

        def value(name)
          @typed.fetch(name) do
            { "date" => rehearsal.date.iso8601, "start" => Formats::Times.clock(rehearsal.start_minute),
              "end" => Formats::Times.clock(rehearsal.end_minute), "kind" => rehearsal.kind }.fetch(name)
          end
        end

        # How many people are called to it.
        def called
          Records::SlotPerson.where(studio_id: studio.id, slot_id: Reading::StandingSlots.standing(studio, [rehearsal])
            .reorder(nil).select(:id)).distinct.count(:person_id)
        end
      end
    end
  end
end
