# frozen_string_literal: true

module App
  module Joins
    module Actions
      # One tap on what a join asks. A word's meaning is remembered for its teacher; anything else is typed into the
      # section or stated of its edge, as a mend is. Value: the way to undo it.
      class Answer
        Shown = Struct.new(:work, :after, :text)

        # one: Reading::OpenQuestions::One; option: as tapped.
        def initialize(piece, one, params, account, today)
          @piece = piece
          @one = one
          @params = params
          @account = account
          @today = today
        end

        def run
          option = @one.options.find { |each| each.to_s == @params["answer"] }
          return Shared::Result.no({ base: I18n.t("questions.unknown") }) unless option

          @one.kind == :word ? remember(option) : settle(option)
        end

        private

        # The newest meaning holds; what was said before is kept, undone.
        def remember(effect)
          @piece.studio.alone(:words) do
            teacher_id = @one.section.choreographer_id
            known = @piece.studio.word_meanings.holding.where(teacher_id:, word: @one.question.word)
            known.each { |row| row.update!(undone_at: Shared::Clock.now) }
            row = @piece.studio.word_meanings.create!(
              teacher_id:, word: @one.question.word, effect: effect.to_s, account_id: @account.id,
              by_name: @account.name, created_at: Shared::Clock.now
            )
            Shared::Result.ok("/pieces/#{@piece.id}/words/#{row.id}/forget")
          end
        end

        def settle(option)
          work = Reading::PieceSnapshots.of(@piece).work
          wording = Shared::QuestionWording.new(@one.question)
          shown = Shown.new(work, @one.question.mend(option).apply(work), "#{wording.text} #{wording.option(option)}")
          Mend.new(@piece, shown, @params, @account, @today).run
        end
      end
    end
  end
end
