# frozen_string_literal: true

module App
  module Reading
    # What a studio's own word does to what is written already: the lines of all its pieces that would read otherwise
    # with the word, or without it.
    class WordChange
      Place = Struct.new(:piece, :section, :eight, :text)

      # step: Records::OwnStep, new or there already.
      def initialize(studio, step)
        @studio = studio
        @step = step
      end

      # [Place], piece by piece.
      def lines = @lines ||= @studio.pieces.running.order(:title).flat_map { |piece| of_piece(piece) }

      # Those in sections that a member does not teach.
      def of_others(member)
        lines.reject { |line| member.person_id && line.section.choreographer == member.person_id }
      end

      # Whether it takes the name of a step that everybody knows.
      def hides_known? = !Core::Movement::Vocabulary::DEFAULT.find(@step.name.to_s).nil?

      private

      def of_piece(piece)
        work = Records::Mapping::Works.load(piece)
        Core::Piece::Rereading.new(work, before:, after:, versions: versions(piece)).all.map do |changed|
          Place.new(piece, changed.section, changed.eight, changed.text)
        end
      end

      def versions(piece)
        Records::Version.where(studio_id: @studio.id, section_id: piece.sections.ids).group_by(&:section_id)
          .transform_values { |rows| rows.map { |row| version(row) } }
      end

      def version(row) = Core::Piece::Version.new(kind: row.kind, eights: row.eights.transform_keys(&:to_i))

      def others = @others ||= @studio.own_steps.accepted.where.not(id: @step.id).map(&:step)
      def before = @before ||= Core::Movement::Vocabulary.new(own: others)
      def after = @after ||= Core::Movement::Vocabulary.new(own: [*others, @step.step])
    end
  end
end
