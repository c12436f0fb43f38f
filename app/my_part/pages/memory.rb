# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # Five questions from the chain, and how they were answered.
      class Memory
        attr_reader :token, :piece

        # Answers as an address carries them: "after-3:4 ends_on-2:left".
        def self.write(given) = given.map { |key, choice| "#{key}:#{choice}" }.join(" ")[0, 300]
        def self.read(text) = text[0, 300].split.to_h { |pair| pair.partition(":").values_at(0, 2) }

        # given: {question key => choice} as it was answered, or nil.
        def initialize(person, piece, now, token:, given: nil)
          @person = person
          @piece = piece
          @now = now
          @token = token
          @given = given
        end

        def title = I18n.t("memory.title")
        def back = "/my/#{token}"
        def path = "/my/#{token}/memory/#{piece.id}"
        def answered? = !@given.nil?

        def questions
          @questions ||= begin
            snapshot = Reading::PieceSnapshots.of(piece)
            Reading::MemoryQuestions.new(snapshot).for_person(@person, @now.to_date)
          end
        end

        def given(question) = (@given || {})[question.key]
        def right?(question) = given(question) == question.answer
        def score = I18n.t("memory.score", count: questions.count { |each| right?(each) }, of: questions.size)
      end
    end
  end
end
