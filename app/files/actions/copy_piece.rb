# frozen_string_literal: true

module App
  module Files
    module Actions
      # A piece once more, for another season, under a title and a show date of its own: sections, steps, order, groups,
      # spots and what was said of its joins. What people have learned of it, its plans, runs and notes stay where they
      # are; who was archived is not in it.
      class CopyPiece < TakePiece
        # Settings that are about one season.
        OF_A_SEASON = %w[deadlines].freeze
        private_constant :OF_A_SEASON

        # asked: {"title", "show_date"} as typed.
        def initialize(member, piece, asked)
          @facts = Piece::TypedFacts.new(asked)
          @source = Reading::PieceContent.new(piece)
          content = @source.content.dup
          content.work = content.work.with(title: @facts.title)
          content.show_date = @facts.show_date
          content.settings = content.settings.except(*OF_A_SEASON)
          super(member, content)
        end

        def run
          errors = @facts.errors
          errors.any? ? Shared::Result.no(errors) : super
        end

        private

        # The same people, whatever they are called.
        def people = @people = @source.rows_of_people
      end
    end
  end
end
