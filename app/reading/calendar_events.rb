# frozen_string_literal: true

module App
  module Reading
    # What a calendar elsewhere shows of a link: a person's calls, or the rehearsals of a piece, or what a room is used
    # for. Keys stay the same as long as it is the same rehearsal; a rehearsal that fell away is said to be cancelled.
    class CalendarEvents
      # Days behind us that are still told.
      BEHIND = 60

      # link: Records::CalendarLink; now: the studio's local time.
      def initialize(link, now)
        @link = link
        @studio = link.studio
        @now = now
      end

      def name
        if @link.person
          I18n.t("calendars.of_person",
                 name: @link.person.name)
        else
          @link.subject.try(:title) || @link.subject.name
        end
      end

      def zone = @studio.time_zone

      # [Formats::Calendar::Event], in order of time.
      def all = rehearsals.filter_map { |rehearsal| event(rehearsal) }

      private

      def rehearsals
        @rehearsals ||= @studio.rehearsals.where(date: (@now.to_date - BEHIND)..).order(:date, :start_minute)
          .includes(:rooms).to_a
      end

      # {rehearsal id => its slots that people were told and that this link is about}.
      def slots
        @slots ||= StandingSlots.standing(@studio, rehearsals).includes(:slot_people, :room, plan: :piece)
          .select { |slot| meant?(slot) }.group_by(&:rehearsal_id)
      end

      def meant?(slot)
        return slot.plan.piece_id == @link.piece_id if @link.piece_id
        return slot.room_id == @link.room_id if @link.room_id

        slot.slot_people.any? { |called| called.person_id == @link.person_id }
      end

      def event(rehearsal)
        own = slots.fetch(rehearsal.id, [])
        times = times(rehearsal, own) or return
        Formats::Calendar::Event.new(
          uid: "rehearsal-#{rehearsal.id}-#{kind}-#{@link.subject.id}@#{host(rehearsal)}",
          date: rehearsal.date, start: times.first, finish: times.last, summary: summary(own), place: place(own),
          description: own.select(&:work?).map { |slot| line(slot) }.join("\n"),
          cancelled: !rehearsal.cancelled_at.nil?, **version(rehearsal, own)
        )
      end

      # Where it was told first: a key stays when the studio moves to another address.
      def host(rehearsal) = rehearsal.told_at_host || URI(Settings.app_url).host
      def kind = %w[person piece room].find { |name| @link[:"#{name}_id"] }

      # When they are called and released; of a piece or a room from its first slot to its last.
      def times(rehearsal, own)
        return if own.empty?
        return [own.map(&:start_minute).min, own.map(&:end_minute).max] unless @link.person_id

        all = StandingSlots.standing(@studio, [rehearsal]).to_a
        call = PersonCalls.new(rehearsal, all).of(@link.person, roles(own))
        call && [call.arrive, call.release]
      end

      def roles(own)
        own.to_h { |slot| [slot.id, slot.slot_people.find { |called| called.person_id == @link.person_id }.role] }
      end

      def summary(own) = own.map { |slot| slot.plan.piece.title }.uniq.to_sentence

      # Where it is, only where the studio lets it out.
      def place(own)
        return unless @studio.setting("rooms_in_calendars")

        own.filter_map(&:room).uniq.map(&:name).join(", ").presence
      end

      def line(slot) = "#{Formats::Times.clock(slot.start_minute)} #{slot.title}"

      # Grows with each plan that was told, of whichever piece, and when a rehearsal falls away or comes back; it never
      # falls, whatever goes out of the rehearsal.
      def version(rehearsal, own)
        changed = [rehearsal.updated_at, *own.map(&:updated_at), *own.filter_map { |slot| slot.plan.published_at }].max
        { sequence: (told * 2) + rehearsal.turns, changed_at: changed }
      end

      def told
        @told ||= @studio.plans.where.not(published_at: nil).group(:piece_id).maximum(:number).values.sum
      end
    end
  end
end
