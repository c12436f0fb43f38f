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

        def offers = @offers ||= core.offers

        def title_of(offer)
          I18n.t("next_best.kinds.#{offer.kind}", name: item_name(offer.item), count: offer.eights.to_i)
        end

        # What it opens, the strongest first.
        def opens(offer)
          [
            (I18n.t("next_best.longer", count: offer.longer) if offer.longer.positive?),
            (I18n.t("next_best.blocks", count: offer.blocks, kind: kind_word) if offer.blocks.positive?),
            (I18n.t("next_best.rungs", count: offer.rungs) if offer.rungs.positive?)
          ].compact
        end

        def who(offer) = call_names.short(offer.people)

        private

        def kind_word = I18n.t("ready.kinds.#{kind}").downcase
        def call_names = @call_names ||= Shared::CallNames.new(piece)

        # The first kind of run that is not ready yet.
        def kind
          @kind ||= Core::Learning::Readiness::KINDS.find do |each|
            !Core::Learning::Readiness.new(items, progress, kind: each).ready?
          end || Core::Learning::Readiness::KINDS.last
        end

        def core
          Core::Planning::NextBest.new(
            tasks,
            minutes:,
            people: there,
            kind:,
            chain: { links: order.links.size, share: piece.setting("ready_share") }
          )
        end

        def tasks
          Core::Planning::NextTasks.new(
            work, items:, progress:, estimate:, today:, teachers:, reached: Reading::TaughtSoFar.new(piece).to_h,
                  capacity: room&.capacity
          )
        end

        # Today's register knows dancers; a choreographer is there unless away that day.
        def teachers = piece.studio.people.choreographers.ids - away

        def away
          day = rehearsal&.date || today
          @away ||= piece.studio.absences.where("from_date <= :d AND to_date >= :d", d: day).distinct.pluck(:person_id)
        end
      end
    end
  end
end
