# frozen_string_literal: true

module App
  module Reading
    # With these minutes, these people and this room, what moves a piece most: core offers, and what they say.
    class NextHalfHour
      # date: of the evening that is meant; people: ids of the dancers who are there; out: ids of others who are not.
      def initialize(piece, date:, minutes:, people:, out: [], room: nil)
        @piece = piece
        @studio = piece.studio
        @date = date
        @minutes = minutes
        @people = people
        @out = out
        @room = room
      end

      def offers(**most) = next_best.offers(**most)
      def run = next_best.run

      # What an evening without a use of its own can be for, in the order in which it helps.
      def uses = Core::Planning::EveningUses.new(next_best).all

      def title(offer)
        return I18n.t("next_best.run", from: link(offer.links.first), to: link(offer.links.last)) if offer.links

        I18n.t("next_best.kinds.#{offer.kind}", name: Shared::ItemName.of(offer.item), count: offer.eights.to_i)
      end

      # What it opens, the strongest first.
      def opens(offer)
        [
          (I18n.t("next_best.longer", count: offer.longer) if offer.longer.positive?),
          (I18n.t("next_best.blocks", count: offer.blocks, kind: kind_word) if offer.blocks.positive?),
          (I18n.t("next_best.rungs", count: offer.rungs) if offer.rungs.positive?)
        ].compact
      end

      def who(offer) = (@names ||= Shared::CallNames.new(@piece)).short(offer.people)

      private

      def snapshot = @snapshot ||= PieceSnapshots.of(@piece)
      def link(index) = snapshot.work.order.links[index - 1].name
      def kind_word = I18n.t("ready.kinds.#{kind}").downcase

      # The first kind of run that is not ready yet.
      def kind
        kinds = Core::Learning::Readiness::KINDS
        @kind ||= kinds.find { |each| !readiness(each).ready? } || kinds.last
      end

      def readiness(kind) = Core::Learning::Readiness.new(snapshot.items, snapshot.progress, kind:)

      def next_best
        @next_best ||= Core::Planning::NextBest.new(
          tasks, minutes: @minutes, people: @people, kind:,
                 chain: { links: snapshot.work.order.links.size, share: @piece.setting("ready_share") }
        )
      end

      def tasks
        Core::Planning::NextTasks.new(
          snapshot.work, items: snapshot.items, progress: snapshot.progress, estimate:, today: @date, teachers:,
                         reached: TaughtSoFar.new(@piece).to_h, capacity: @room&.capacity
        )
      end

      def estimate
        Core::Planning::Estimate.new(under_eleven: @studio.setting("under_eleven"),
                                     factors: Records::Mapping::Seasons.factors(@studio))
      end

      # The register knows dancers; a choreographer is there unless away that day.
      def teachers = @studio.people.choreographers.ids - @out
    end
  end
end
