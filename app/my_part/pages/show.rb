# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # A dancer's own page: when I am called, what I owe, my links.
      class Show
        attr_reader :person, :token

        # calendar: the address that was just made, shown this once.
        attr_reader :calendar

        # token: of the private link it is shown behind; guardian: whether that is a guardian's.
        def initialize(person, now, token: nil, guardian: false, calendar: nil)
          @calendar = calendar
          @person = person
          @token = token
          @guardian = guardian
          @studio = person.studio
          @now = @studio.local(now)
        end

        def title = I18n.t(guardian? ? "guardian.title" : "my_part.title", name: person.first_name)
        def today = @now.to_date
        def studio_name = @studio.name

        # What to bring to the next call: [text].
        def bring
          rehearsal = calls.first&.last or return []
          own = slots.fetch(rehearsal.id, []).select { |slot| roles.key?(slot.id) }
          sections = @studio.sections.where(id: own.flat_map(&:section_ids)).where.not(bring: "")
          sections.order(:position).pluck(:bring).uniq
        end

        def manifest = "/my/#{token}/manifest.webmanifest"

        # Whether dancers report here what they have; for a guardian there are no ticks.
        def reports? = @studio.setting("self_reports") && !guardian?
        def guardian? = @guardian

        def calendar_given? = @studio.calendar_links.given.exists?(person_id: person.id)

        # Whether absences are said here: by a guardian, or by somebody grown up.
        def says_away? = guardian? || person.adult
        def absences = person.absences.where(habit_id: nil, to_date: today..).order(:from_date)

        # Whether they are asked when they can come, and have not said.
        def asked_days?
          return false unless says_away? && @studio.days_asked_on

          Reading::NotSaid.new(@studio, today).include?(person)
        end

        def habits = person.habits.order(:weekday).to_a

        def away_words(row)
          return Shared::AwayWords.habit(row) if row.is_a?(Records::Habit)

          Shared::AwayWords.days(row.from_date, row.to_date, row.from_minute, row.to_minute)
        end

        # Every word that staff wrote to this person alone, newest first: [[day, words, who], …].
        def words
          notes = @studio.notes.standing.where(about: "person", person_id: person.id).order(id: :desc)
          answers = @studio.notes.standing.where(asker_id: person.id).where.not(answer: nil).order(id: :desc)
          rows = notes.map { |note| [note.created_at, note.text, note.by_name] } +
            answers.map { |note| [note.answered_at, note.answer, note.answered_by] }
          rows.sort_by(&:first).reverse.map { |at, text, by| [Shared::Dates.day(at.to_date), text, by] }
        end

        def pieces
          @pieces ||=
            @studio.pieces.running.where(id: person.castings.select(:piece_id))
              .order(:show_date)
              .map { |piece| MyPiece.new(piece, person, today, now: @now) }
        end

        # Whether this person may see a clip.
        def shows?(clip) = pieces.any? { |piece| piece.clips.include?(clip) }

        # [[call, rehearsal], …] of the next rehearsals this person is called to.
        def calls
          @calls ||= ahead.filter_map do |rehearsal|
            own = slots.fetch(rehearsal.id, [])
            call = Reading::PersonCalls.new(rehearsal, own).of(person, roles)
            [call, rehearsal] if call && !released?(rehearsal, call)
          end.first(4)
        end

        # What changed of what this person knew, soonest first: evenings that fell away, and for some days after a plan
        # was told what it changed.
        def changes = (cancelled + told).sort_by(&:first).map(&:last).uniq

        private

        # Whether this call is behind us today.
        def released?(rehearsal, call)
          local = @studio.local(Shared::Clock.now)
          rehearsal.date == local.to_date && call.release <= (local.hour * 60) + local.min
        end

        # [[date, words], …].
        def cancelled
          slots =
            @studio.slots.joins(:rehearsal, :slot_people, :plan)
              .where(
                slot_people: { person_id: person.id },
                plans: {
                  replaced_at: nil,
                  piece_id: @studio.pieces.running.select(:id)
                }
              )
          slots
            .where.not(plans: { published_at: nil })
            .where.not(rehearsals: { cancelled_at: nil })
            .where(rehearsals: { date: today.. })
            .reorder(nil)
            .distinct
            .pluck("rehearsals.date")
            .map { |date| [date, I18n.t("my_part.cancelled", day: Shared::Dates.day(date))] }
        end

        def told
          pieces
            .flat_map { |mine| mine.told_changes(Shared::Clock.now - (Reading::CallDifference::NEWS * 86_400)) }
            .map { |change| [change.date, change.text] }
        end

        # {rehearsal id => its slots people were told}.
        def slots
          @slots ||= Reading::StandingSlots.standing(@studio, ahead).group_by(&:rehearsal_id)
        end

        # {slot id => role} of this person.
        def roles
          @roles ||=
            @studio.slot_people.where(slot_id: slots.values.flatten.map(&:id), person_id: person.id)
              .pluck(:slot_id, :role)
              .to_h
        end

        def ahead
          @ahead ||=
            begin
              called = @studio.slots.joins(:slot_people).where(slot_people: { person_id: person.id })
              @studio.rehearsals.standing.where(id: called.reorder(nil).select(:rehearsal_id), date: today..)
                .includes(:rooms)
                .limit(8)
                .to_a
            end
        end
      end
    end
  end
end
