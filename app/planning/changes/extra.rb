# frozen_string_literal: true

module App
  module Planning
    module Changes
      # One rehearsal more, in all rooms.
      class Extra < Change
        # In five minutes' steps, with time to work, before the show and in none of the rehearsals there are.
        def valid?
          return false unless day && !after_show? && @studio.rooms.open.any?

          [from, to].all? { |minute| minute && (minute % 5).zero? } && to - from > 60 && !taken?
        end

        def season = { extra: thought }
        def unread = I18n.t(after_show? ? "what_if.after_show" : "what_if.no_rehearsal")

        private

        def after_show? = !day.nil? && !@piece.show_date.nil? && day > @piece.show_date

        def thought
          @thought ||= Records::Mapping::Thought.new(
            date: day, start_minute: from, end_minute: to, rooms: @studio.rooms.open.to_a
          )
        end

        def words = { day: Shared::Dates.day(day), from: @asked["start"], to: @asked["end"] }

        def taken?
          @studio.rehearsals.standing.where(date: day).any? { |each| each.start_minute < to && from < each.end_minute }
        end

        def from = Formats::Times.minutes(@asked["start"])
        def to = Formats::Times.minutes(@asked["end"])
        def day = Shared::Dates.parse(@asked["date"], within: today..(today + 800))

        def accept
          rooms = @studio.rooms.open.ids.map(&:to_s)
          asked = { "single" => day.iso8601, **@asked.slice("start", "end"), "rooms" => rooms }
          Rehearsals::Actions::Add.new(@studio, asked).run
          added = @studio.rehearsals.standing.where(date: day).order(:id).last
          { Records::Mapping::Identifiers::EXTRA => Records::Mapping::Identifiers.window(added.id) }
        end
      end
    end
  end
end
