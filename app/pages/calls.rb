# frozen_string_literal: true

module App
  module Pages
    # Rehearsals with call sheets, next first.
    class Calls
      attr_reader :member, :piece

      def initialize(member, now, piece: nil)
        @member = member
        @now = now
        @piece = piece
      end

      def title = I18n.t("ways.calls")
      def screen = :calls
      def spine = piece && PiecePage.new(piece:, member:, now: @now).spine
      def upcoming = @upcoming ||= member.studio.rehearsals.standing.where(date: @now.to_date..).includes(:rooms).to_a
      def recent = @recent ||= member.studio.rehearsals.where(cancelled_at: nil, date: ...@now.to_date).order(date: :desc).limit(6).includes(:rooms).to_a
      def slots(rehearsal) = all.fetch(rehearsal.id, [])
      def called(rehearsal) = called_by_rehearsal.fetch(rehearsal.id, 0)

      private

      def called_by_rehearsal
        @called_by_rehearsal ||= member.studio.slots.joins(:slot_people).where(id: all.values.flatten.map(&:id)).group(:rehearsal_id).distinct.count("slot_people.person_id")
      end

      def all
        @all ||= Slots.standing(member.studio, upcoming + recent).includes(:plan).select { |slot| piece.nil? || slot.plan.piece_id == piece.id }.group_by(&:rehearsal_id)
      end
    end
  end
end
