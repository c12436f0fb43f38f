# frozen_string_literal: true

module App
  module Joins
    module Pages
      # What the joins of a piece ask: open ones first, then what was put off.
      class Settle < Reading::PiecePage
        def initialize(errors: {}, **rest)
          super(**rest)
          @errors = errors
        end

        attr_reader :errors

        def screen = :joins
        def title = "#{I18n.t('questions.title')} · #{piece.title}"
        def open_questions = @open_questions ||= Reading::OpenQuestions.new(piece, snapshot)
        def waiting = open_questions.waiting
        def put_off = open_questions.all.reject(&:waiting?)
      end
    end
  end
end
