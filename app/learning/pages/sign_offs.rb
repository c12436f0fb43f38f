# frozen_string_literal: true

module App
  module Learning
    module Pages
      # What waits to be signed off: one tap an item, with exceptions; and who looks after whose queue.
      class SignOffs < Panel
        def panel = :sign_offs

        # [Core::Learning::SignOffs::Waiting] that are this member's.
        def mine = @mine ||= waiting.select { |each| policy.item?(each.item) }
        def others = waiting.size - mine.size

        # [[person, rung, whether they report it], …] by name.
        def people_of(waiting)
          waiting.people.map { |id| [people.fetch(id), rung_of(waiting, id), waiting.reported.key?(id)] }
            .sort_by { |person, _, reported| [reported ? 0 : 1, person.name] }
        end

        # [Records::Upload] that this member reviews.
        def reviews
          @reviews ||= piece.uploads.reviews.includes(:section, :people)
            .select { |clip| ReviewPolicy.new(member, clip, today).see? }
        end

        def way(item) = I18n.t("ways_of_counting.#{progress.way(item.key).name}")

        # [Records::HandOver] that hold.
        def handed = @handed ||= piece.studio.hand_overs.holding(today).includes(:person, membership: :account).to_a
        def until_day(row) = Shared::Dates.day(row.until_day)
        def ends?(row) = HandOverPolicy.new(member, row.person).give?

        # Choreographers whose queue this member may give away.
        def givers = piece.studio.people.choreographers.select { |person| HandOverPolicy.new(member, person).give? }
        def takers = piece.studio.memberships.includes(:account).order(:id)
        def week = today + 7

        private

        def policy = @policy ||= SignOffPolicy.new(member, piece, order, today)

        def waiting
          @waiting ||= snapshot.memo(:waiting) { Core::Learning::SignOffs.new(items, progress).all }
        end

        def rung_of(waiting, id)
          Shared::Ring.word(waiting.reported.fetch(id) { progress.rung(id, waiting.item.key) })
        end
      end
    end
  end
end
