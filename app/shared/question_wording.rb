# frozen_string_literal: true

module App
  module Shared
    # A join's question in words: what is asked, what can be tapped, and what is looked at in the room instead.
    class QuestionWording
      # question: Core::Joins::Question.
      def initialize(question)
        @question = question
      end

      # "What does “weathervane” do to the feet?"
      def text = I18n.t("questions.#{form}", **facts)

      # "Look: what “weathervane” does to the feet"
      def look = I18n.t("questions.look.#{form}", **facts)

      def option(option)
        return option.to_s if @question.kind == :group_who

        I18n.t("questions.options.#{@question.kind == :word ? 'word' : @question.state}.#{option}",
               default: I18n.t("questions.options.#{@question.kind}.#{option}", default: option.to_s))
      end

      # Where it comes from: "Crossing, eight 3".
      def place
        return @question.section.name unless @question.row

        I18n.t("questions.place", section: @question.section.name, eight: @question.row)
      end

      private

      def form
        return :"group_end_#{@question.state}" if @question.kind == :group_end
        return @question.kind unless @question.kind == :state

        :"#{@question.state}_#{@question.edge}"
      end

      def facts = { word: @question.word, section: @question.section.name }
    end
  end
end
