# frozen_string_literal: true

module App
  module Demo
    # What the room said of the last rehearsal behind us, and what is still parked from it.
    class Evening
      LATE = "Dov Lindley"
      RESTING = "Lumi Ash"
      RINGS = { LATE => "0555 010 11", RESTING => "0555 010 27", "Zola Mead" => "0555 010 64" }.freeze
      NOTES = [
        ["promise", "Smoke", "show once more how the cloths are gathered"],
        ["question", "Swarm", "do we breathe on 7 or on 8?"]
      ].freeze
      AFTER = 8

      def initialize(piece, account, now)
        @piece = piece
        @account = account
        @now = now
      end

      def write
        RINGS.each { |name, number| person(name).update!(rings: number) }
        rehearsal = last or return
        say(rehearsal)
        note(rehearsal)
      end

      private

      def studio = @piece.studio
      def person(name) = studio.people.find_by!(name:)

      def last
        studio.rehearsals.standing.where(date: ...@now.to_date).last
      end

      def slots(rehearsal) = @slots ||= rehearsal.slots.where(plan_id: @piece.published_plan).order(:start_minute).to_a

      # Whoever came, but for one who was late and one who rested.
      def say(rehearsal)
        called = Records::SlotPerson.where(studio_id: studio.id, slot_id: slots(rehearsal).map(&:id), role: "dancer")
        away = rehearsal.attendances.where(present: false).pluck(:person_id)
        rows = (called.distinct.pluck(:person_id) - away).map { |id| row(rehearsal, id, *state(id, rehearsal)) }
        Records::Mapping::Registers.say(rehearsal, rows) if rows.any?
      end

      def state(id, rehearsal)
        return ["late", rehearsal.start_minute + AFTER] if id == person(LATE).id

        [id == person(RESTING).id ? "resting" : "present", rehearsal.start_minute]
      end

      def row(rehearsal, person_id, state, minute)
        { **said(rehearsal, "here-#{person_id}"), person_id:, guest: nil, state:, minute: }
      end

      def said(rehearsal, key)
        {
          studio_id: studio.id, rehearsal_id: rehearsal.id, said_at: (@now.to_f * 1000).to_i,
          by_name: @account.name, client_id: "demo-#{rehearsal.id}-#{key}", created_at: @now
        }
      end

      def note(rehearsal)
        NOTES.each_with_index do |(kind, name, text), i|
          section = @piece.sections.find_by!(name:)
          studio.notes.create!(
            **said(rehearsal, "note-#{i}"), piece_id: @piece.id, kind:, about: "section", section_id: section.id, text:
          )
        end
      end
    end
  end
end
