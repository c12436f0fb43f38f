# frozen_string_literal: true

module App
  module Joins
    # What the joins ask: answered by one tap, looked at in the room, or left open.
    module QuestionRoutes
      def self.registered(app)
        app.allow(:member, get: "/pieces/:piece/settle") { page "joins/settle", piece_page(Pages::Settle) }
        answering(app)
        forgetting(app)
      end

      def self.answering(app)
        app.allow :director, :choreographer, :assistant,
                  post: "/pieces/:piece/settle", takes: Shapes::ANSWER do
          one = Reading::OpenQuestions.new(piece, Reading::PieceSnapshots.of(piece)).find(params["question"].to_s)
          back = QuestionRoutes.back(piece, one, params["back"])
          unless one
            say t("questions.settled_already")
            redirect back
          end

          permit QuestionPolicy, one.section, :answer?
          result = QuestionRoutes.settle(piece, one, params, account, today)
          say(result.ok? ? QuestionRoutes.told(one, params["answer"]) : result.errors[:base], undo: result.value)
          redirect back
        end
      end

      def self.settle(piece, one, params, account, today)
        way = Records::Aside::WAYS.find { |each| each == params["answer"] }
        return Actions::PutOff.new(piece, one, way, account).run if way || params["answer"] == "again"

        Actions::Answer.new(piece, one, params, account, today).run
      end

      def self.told(one, answer)
        return I18n.t("questions.told.#{answer}") if ["again", *Records::Aside::WAYS].include?(answer)

        I18n.t("questions.told.answered", answer: Shared::QuestionWording.new(one.question).option(answer.to_sym))
      end

      def self.back(piece, one, place)
        case place
        when "home" then "/"
        when "steps" then "/pieces/#{piece.id}/steps#{"?section=#{one.section.id}" if one}"
        when "join" then "/pieces/#{piece.id}/joins#{"/#{one.index}" if one}"
        else "/pieces/#{piece.id}/settle"
        end
      end

      # A word's meaning taken back: the question is asked again.
      def self.forgetting(app)
        app.allow :director, :choreographer, :assistant, post: "/pieces/:piece/words/:id/forget" do
          row = find(studio.word_meanings.holding)
          permit WordMeaningPolicy, row, :forget?
          row.update!(undone_at: Shared::Clock.now)
          say t("questions.forgotten", word: row.word)
          redirect "/pieces/#{piece.id}/settle"
        end
      end
    end
  end
end
