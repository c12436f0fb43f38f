# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Does for good what was only tried in What if (a school is the plan's own; passes are a wish of the piece).
      class AcceptChange
        # asked: as the form said it.
        def initialize(piece, asked)
          @piece = piece
          @studio = piece.studio
          @asked = asked
          @change = Reading::WhatIfChange.new(piece, asked)
        end

        # {window of the change as it was tried => the window it has become}.
        def run
          windows = send(:"accept_#{@change.kind}") || {}
          @piece.reload.touch
          windows
        end

        private

        def accept_school = nil

        def accept_without
          @change.rehearsal.update!(cancelled_at: Shared::Clock.now)
          nil
        end

        def accept_extra
          date = @change.extra.date
          asked = { "single" => date.iso8601, **@asked.slice("start", "end"), "rooms" => rooms }
          Rehearsals::Actions::Add.new(@studio, asked).run
          added = @studio.rehearsals.standing.where(date:).order(:id).last
          { Records::Mapping::Identifiers::EXTRA => Records::Mapping::Identifiers.window(added.id) }
        end

        def rooms = @studio.rooms.open.ids.map(&:to_s)

        # Somebody comes after all, from today on: days ahead are taken out of what they had said, days past stay.
        def accept_freed
          today = @studio.today(Shared::Clock.now)
          ahead = @change.person.absences.where(to_date: today..)
          ahead.where(from_date: today..).destroy_all
          ahead.where(from_date: ...today).find_each { |absence| absence.update!(to_date: today - 1) }
          @change.person.visits.where(date: today..).destroy_all
          nil
        end

        def accept_away
          person, from_date, to_date = @change.away
          person.absences.create!(studio_id: @studio.id, from_date:, to_date:)
          nil
        end

        # It is out of the rehearsals ahead; a room that is gone for good is archived on Rehearsals.
        def accept_room
          ahead = @studio.rehearsals.standing.where(date: @studio.today(Shared::Clock.now)..).to_a
          ahead.each do |rehearsal|
            rehearsal.rehearsal_rooms.where(room_id: @change.room.id).delete_all
            rehearsal.touch
          end
          nil
        end

        def accept_passes
          @piece.sections.each { |row| row.update!(**@change.passed(row)) }
          nil
        end

        def accept_runs = set("full_runs" => @change.runs)
        def accept_quorum = set("quorum" => @change.quorum / 100.0)

        def set(values)
          @piece.with_lock { @piece.update!(settings: @piece.settings.merge(values)) }
          nil
        end

        def accept_teacher
          @change.section.update!(choreographer: @change.teacher)
          nil
        end
      end
    end
  end
end
