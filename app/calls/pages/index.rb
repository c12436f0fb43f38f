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
        def spine = piece && Shared::PiecePage.new(piece:, member:, now: @now).spine
        def upcoming = @upcoming ||= member.studio.rehearsals.standing.where(date: @now.to_date..).to_a

        def recent
          @recent ||=
            member.studio.rehearsals.where(cancelled_at: nil, date: ...@now.to_date).order(date: :desc).limit(6).to_a
        end

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

        # {rehearsal id => people}.
        def changes(piece)
          plan = piece.published_plan
          before = piece.told_before
          unless plan && before && plan.published_at > Shared::Clock.now - (Reading::CallDifference::NEWS * 86_400)
            return {}
          end

          Reading::PieceSnapshots.of(piece)
            .held(:told_changes, Reading::SeasonVersion.of(plan, @now)) do
              Reading::CallDifference.new(piece, before, plan, @now.to_date).by_rehearsal.transform_values(&:size)
            end
        end

        def titles_by_rehearsal
          @titles_by_rehearsal ||=
            slots.work.pluck(:rehearsal_id, :title).group_by(&:first).transform_values { |same| same.map(&:last) }
        end

        def called_by_rehearsal
          @called_by_rehearsal ||=
            slots.joins(:slot_people).reorder(nil).group(:rehearsal_id).distinct.count("slot_people.person_id")
        end

        def slots
          standing = Reading::StandingSlots.standing(member.studio, upcoming + recent)
          piece ? standing.joins(:plan).where(plans: { piece_id: piece.id }) : standing
        end
      end
    end
  end
end
