# frozen_string_literal: true

module App
  module MyPart
    module Actions
      # What was remembered of the joins that were asked. Whose answers they were is not kept, and nothing is ticked.
      class Remember
        # questions: [Reading::MemoryQuestions::Asked]; given: {key => choice}.
        def initialize(piece, questions, given, today)
          @piece = piece
          @questions = questions
          @given = given
          @today = today
        end

        def run
          links = @piece.links.to_a
          rows = answered.map do |asked|
            { studio_id: @piece.studio_id, piece_id: @piece.id, link_id: links[asked.question.join - 1].id,
              kind: asked.question.kind.to_s, sure: @given[asked.key] == asked.answer, day: @today }
          end
          Records::MemoryAnswer.insert_all!(rows) if rows.any?
        end

        private

        def answered = @questions.select { |asked| asked.question.join && @given.key?(asked.key) }
      end
    end
  end
end
