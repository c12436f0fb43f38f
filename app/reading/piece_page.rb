# frozen_string_literal: true

module App
  module Reading
    # Root of all screens of a piece: the work, what there is to learn, and the spine on top.
    class PiecePage
      attr_reader :piece, :member, :now, :at

      # at: what is picked on the spine, "3" a link, "3j" the join after it.
      def initialize(piece:, member:, now:, at: nil)
        @piece = piece
        @member = member
        @now = now
        @at = at.to_s[/\A\d{1,3}j?\z/]
      end

      def title = piece.title
      def today = now.to_date
      def snapshot = @snapshot ||= PieceSnapshots.of(piece)
      def work = snapshot.work
      def order = work.order
      def items = snapshot.items
      def progress = snapshot.progress
      def spine = @spine ||= Shared::Spine.new(self)
      def director? = Piece::Policy.new(member, piece).direct?
      def people = snapshot.people
      def teacher(id) = people[id]

      # "Odalys Venn & Mirela Dusk", or nil.
      def taught_by(section)
        names = section.teachers.filter_map { |id| people[id]&.name }
        names.join(" & ") unless names.empty?
      end

      def tape(section) = teacher(section.choreographer)&.tape
      def vocabulary = piece.studio.vocabulary
      def forks_of_piece = @forks_of_piece ||= snapshot.danced.forks
      def stage = snapshot.stage

      # Those present today by the register, or nil.
      def present = season_snapshot.present
      def season_snapshot = @season_snapshot ||= SeasonSnapshots.of(piece.studio, now)

      def standings = snapshot.standings

      def estimate
        @estimate ||=
          Core::Planning::Estimate.new(
            under_eleven: piece.studio.setting("under_eleven"),
            factors: Records::Mapping::Seasons.factors(piece.studio)
          )
      end

      # What teaching a section takes, at its tempo and with its dancers: an Estimate::Breakdown.
      def lesson(section)
        placed = order.links.find { |link| link.section.id == section.id } or return estimate.learn(section)
        estimate.learn(section, bpm: work.track.map.bpm_at(placed.start_beat), people: items.in_link(placed.index).size)
      end

      def path(tail = "") = "/pieces/#{piece.id}#{tail}"
      def picked_link = (at && !at.end_with?("j") ? order.links[at.to_i - 1] : nil)
    end
  end
end
