# frozen_string_literal: true

module Records
  module Mapping
    # What a studio asks for people's bodies and time => what Core::Planning::Problem says of it.
    class SeasonCare
      Planning = Core::Planning
      # Minutes between the end of a minor's evening and the next beginning.
      NIGHT = 720
      private_constant :Planning

      # care: Planning::Care; warm_up: minutes before the piece's work.
      def initialize(piece, care, warm_up)
        @piece = piece
        @studio = piece.studio
        @care = care
        @warm_up = warm_up
      end

      # For tasks with text ids.
      def to_h(tasks)
        limits = limits(tasks)
        { limits:, minors: limits.map { |limit| limit[:who] }, on_end: on_end(limits), price_list:, **wheels, **bodies }
      end

      private

      def ids(people) = people.map { |id| Identifiers.person(id) }

      def wheels
        { stepped: @studio.rooms.where(step_free: false).ids.map { |id| Identifiers.room(id) },
          wheels: ids(Wheels.of(@piece)) }
      end

      # Rests, warming up again, what a day counts beside the slots, and what is free.
      def bodies
        {
          max_continuous: @care.max_continuous,
          break_minutes: @care.rest,
          rests: [[120, 15]],
          rewarm: @care.re_warm.positive? ? [@care.idle, @care.re_warm] : nil,
          frame_minutes: @warm_up + @care.cool_down,
          night: NIGHT,
          day_off: true,
          full_out_a_day: @studio.setting("full_out_minutes")
        }
      end

      # Minors have a daily limit: a setting of the studio, or less where their age band asks for less.
      def limits(tasks)
        asked = tasks.flat_map(&:dancers).uniq
        most = @studio.setting("daily_minutes")
        minors = @studio.people.where(adult: false).order(:id).pluck(:id, :band).to_h do |id, band|
          [Identifiers.person(id), Planning::AgeBands.minutes_a_day(band, most)]
        end
        minors.slice(*asked).map { |who, minutes_per_day| { who:, minutes_per_day: } }
      end

      # {who => minutes} of minors who rest sooner than the others, by their age band.
      def on_end(limits)
        bands = @studio.people.where(adult: false).where.not(band: nil).pluck(:id, :band)
          .to_h { |id, band| [Identifiers.person(id), band] }
        own = limits.map { |limit| limit[:who] }.to_h { |who| [who, longest(bands[who])] }
        own.reject { |_, most| most >= @care.max_continuous }
      end

      def longest(band) = Planning::AgeBands.on_end(band, @care.max_continuous)

      # Those who come and go together: [[id, id], …].
      def siblings
        rows = @studio.people.present.where.not(comes_with_id: nil).pluck(:id, :comes_with_id)
        rows.map { |pair| ids(pair.sort) }.uniq
      end

      # Guests name the dates on which they come; who runs the studio is there anyway.
      def price_list
        staff = @studio.memberships.where(role: %w[director assistant]).where.not(person_id: nil).pluck(:person_id)
        bands = @studio.people.order(:id).pluck(:id, :band, :adult)
          .to_h { |id, band, adult| [Identifiers.person(id), adult ? Planning::AgeBands::ADULT : band] }
        guests = ids(@studio.visits.distinct.pluck(:person_id))
        Planning::PriceList.of(bands, guests:, home: ids(staff), siblings:)
      end
    end
  end
end
