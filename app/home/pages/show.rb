# frozen_string_literal: true

module App
  module Home
    module Pages
      # The studio's pieces as small chains, the next rehearsal, and what needs a decision.
      class Show
        attr_reader :member, :now

        def initialize(member, now)
          @member = member
          @now = now
        end

        def title = I18n.t("ways.home")
        def screen = :home
        def studio = member.studio
        def director? = member.director?

        def pieces
          @pieces ||=
            studio.pieces.running.includes(:track).order(:show_date, :id)
              .map { |piece| PieceCard.new(piece, member, now) }
        end

        def archived = studio.pieces.where.not(archived_at: nil).order(:title)

        def rehearsal
          @rehearsal ||=
            studio.rehearsals.standing.where(date: now.to_date..).includes(:rooms)
              .find { |r| r.date > now.to_date || r.end_minute > (now.hour * 60) + now.min }
        end

        def rehearsal_slots = rehearsal ? Reading::StandingSlots.standing(studio, [rehearsal]).select(&:work?) : []

        def decisions
          @decisions ||= pieces.flat_map { |card| card.decisions.map { |text, path| [text, path, card.piece.title] } }
        end
      end
    end
  end
end
