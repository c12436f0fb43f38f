# frozen_string_literal: true

module App
  module Calls
    module Pages
      # Rehearsals with call sheets, next first.
      class Index
        MOST_TITLES = 4
        attr_reader :member, :piece

        def initialize(member, now, piece: nil)
          @member = member
          @now = now
          @piece = piece
        end

        def title = I18n.t("ways.calls")
        def screen = :calls
        def calendars? = member.director? || member.role == "assistant"
        def spine = piece && Reading::PiecePage.new(piece:, member:, now: @now).spine
        def upcoming = season.still_ahead(@now)
        def recent = (season.ahead - upcoming).reverse + season.recent

        # What is rehearsed, in order; how many people are called.
        def titles(rehearsal)
          all = titles_by_rehearsal.fetch(rehearsal.id, [])
          all.size > MOST_TITLES ? [*all.first(MOST_TITLES), I18n.t("calls.more", count: all.size - MOST_TITLES)] : all
        end

        def called(rehearsal) = called_by_rehearsal.fetch(rehearsal.id, 0)

        # How many people's calls to a rehearsal changed with the plan they were told last, as long as that is news.
        def changed(rehearsal) = changed_by_rehearsal.fetch(rehearsal.id, 0)

        private

        def changed_by_rehearsal
          @changed_by_rehearsal ||=
            (piece ? [piece] : member.studio.pieces.running)
              .map { |each| changes(each) }
              .reduce({}) { |sum, more| sum.merge(more) { |_, a, b| a + b } }
        end

        def season = @season ||= Reading::SeasonSnapshots.of(member.studio, @now)

        # {rehearsal id => people}.
        def changes(piece)
          told_at, by_rehearsal = season.memo([:told_changes, piece.id]) { told_changes(piece) }
          told_at && told_at > Shared::Clock.now - (Reading::CallDifference::NEWS * 86_400) ? by_rehearsal : {}
        end

        # [when the plan was told, {rehearsal id => people whose calls it changed}].
        def told_changes(piece)
          plan = piece.published_plan
          before = piece.replaced_plan
          return unless plan && before

          changed = Reading::CallDifference.new(piece, before, plan, @now.to_date).by_rehearsal
          [plan.published_at, changed.transform_values(&:size)]
        end

        def titles_by_rehearsal
          season.memo([:titles, piece&.id]) do
            slots.work.pluck(:rehearsal_id, :title).group_by(&:first).transform_values { |same| same.map(&:last) }
          end
        end

        def called_by_rehearsal
          season.memo([:called, piece&.id]) do
            slots.joins(:slot_people).reorder(nil).group(:rehearsal_id).distinct.count("slot_people.person_id")
          end
        end

        def slots
          standing = Reading::StandingSlots.standing(member.studio, upcoming + recent)
          piece ? standing.joins(:plan).where(plans: { piece_id: piece.id }) : standing
        end
      end
    end
  end
end
