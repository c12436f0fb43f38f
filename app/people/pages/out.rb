# frozen_string_literal: true

module App
  module People
    module Pages
      # What it means that somebody is out today: until when, what waits, where their holes are.
      class Out
        MOST = 6

        def initialize(person, now)
          @person = person
          @studio = person.studio
          @now = now
        end

        # The last day, or nil where they are not out today.
        def last
          @last ||= @person.absences.where(habit_id: nil, from_minute: nil, to_minute: nil)
            .where("from_date <= :day AND to_date >= :day", day: @now.to_date).maximum(:to_date)
        end

        def title = I18n.t("people.out.until", name: @person.name, day: Shared::Dates.day(last))

        # Sentences of slots that wait while they are out, in order.
        def waits
          @waits ||= slots.filter_map do |slot|
            stands = Reading::GoesAhead.new(draft(slot.plan.piece), slot, [@person.id])
            [slot, stands.text({ @person.id => @person.name })] unless stands.ahead?
          end
        end

        def shown = waits.first(MOST)
        def more = waits.size - shown.size

        # What goes ahead without them.
        def others = slots.size - waits.size

        # [[title, where the holes are, who closes up and who covers], …]
        def holes
          pieces = @studio.pieces.running.where(id: @person.castings.select(:piece_id)).order(:title)
          pieces.map { |piece| [piece.title, "/pieces/#{piece.id}/holes?out[]=#{@person.id}"] }
        end

        private

        def draft(piece) = (@drafts ||= {})[piece.id] ||= Reading::PlanDraft.new(piece, @now)

        # Work they were called to by what was told, until they are back.
        def slots
          @slots ||= begin
            days = @studio.rehearsals.standing.where(date: @now.to_date..last).to_a
            Reading::StandingSlots.standing(@studio, days).work
              .where(id: @studio.slot_people.where(person_id: @person.id).select(:slot_id))
              .includes(:slot_people, :rehearsal, plan: :piece)
              .sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
          end
        end
      end
    end
  end
end
