# frozen_string_literal: true

module App
  module Learning
    module Pages
      # The next best half hour: with these minutes, these people and this room, what moves the piece most.
      class NextBest < Panel
        MOST = 240
        attr_reader :minutes, :room, :rehearsal

        # rehearsal: an evening whose people and minutes are meant, instead of those of now.
        def initialize(minutes: nil, room: nil, rehearsal: nil, **rest)
          super(**rest)
          @rehearsal = season_snapshot.ahead.find { |each| each.id == rehearsal.to_s[/\A\d{1,18}\z/]&.to_i }
          @minutes = minutes.to_s[/\A\d{1,3}\z/]&.to_i&.clamp(5, MOST) || @rehearsal&.minutes&.clamp(5, MOST) || 30
          @room = rooms.find { |each| each.id == room.to_s[/\A\d{1,18}\z/]&.to_i }
        end

        def panel = :next_best
        def rooms = @rooms ||= piece.studio.rooms.open.to_a

        # Who is there: on an evening that is meant all but those away, today by the register.
        def there
          return here unless rehearsal

          items.everybody - away
        end

        def whom
          return I18n.t("next_best.evening", day: Shared::Dates.day(rehearsal.date), count: there.size) if rehearsal

          present ? I18n.t("spine.here", count: there.size) : I18n.t("spine.whole_cast")
        end

        # On an evening that is meant in the order in which one uses it, else the best first.
        def offers = @offers ||= rehearsal ? half_hour.uses : half_hour.offers

        def title_of(offer) = half_hour.title(offer)
        def opens(offer) = half_hour.opens(offer)
        def who(offer) = half_hour.who(offer)

        private

        def half_hour
          @half_hour ||= Reading::NextHalfHour.new(
            piece, date: rehearsal&.date || today, minutes:, people: there, out: away, room:
          )
        end

        def away
          day = rehearsal&.date || today
          @away ||= piece.studio.absences.where("from_date <= :d AND to_date >= :d", d: day).distinct.pluck(:person_id)
        end
      end
    end
  end
end
