# frozen_string_literal: true

module App
  module Reading
    # What the joins of a piece ask that nobody has answered: Core::Joins::Question with the section's row, how long it
    # waits, whether it was put off, and what others say of the same word.
    class OpenQuestions
      # question; section: Records::Section; way: nil, "room" or "open"; said: [[teacher's name, effect], …].
      One = Struct.new(:question, :section, :way, :said, keyword_init: true) do
        delegate :key, :kind, :options, :index, to: :question
        def waiting? = way.nil?
        # Days since the section was last written.
        def days(today) = (today - section.updated_at.to_date).to_i
      end
      # Days after which a question goes to the assistants too.
      PATIENCE = 3

      def initialize(piece, snapshot)
        @piece = piece
        @snapshot = snapshot
      end

      # [One], in order of the piece, those that were put off among them.
      def all
        @all ||= questions.map do |question|
          One.new(question:, section: sections.fetch(question.section.id), way: asides[question.key],
                  said: said(question))
        end
      end

      def waiting = all.select(&:waiting?)
      def find(key) = all.find { |one| one.key == key }

      # Those that are a member's: whoever teaches the section; the assistants after three days, or where its teacher
      # cannot be asked. Never the director's, who has the joins.
      def of(member, today)
        case member.role
        when "choreographer" then waiting.select { |one| one.section.taught_by?(member.person_id) }
        when "assistant"
          waiting.select { |one| one.days(today) >= PATIENCE || !asked.include?(one.section.choreographer_id) }
        else []
        end
      end

      private

      def questions
        @snapshot.of_work(:questions) do
          held = @snapshot.review.joins
          settled = held.map { |each| JoinStanding.new(each, @snapshot) }.select(&:agreed?).map { |each| each.join.key }
          Core::Joins::Questions.new(held, settled:).all
        end
      end

      def sections = @sections ||= @piece.sections.index_by(&:id)
      def asides = @asides ||= @piece.asides.pluck(:question, :way).to_h

      # People who have an account here.
      def asked = @asked ||= @piece.studio.memberships.where.not(person_id: nil).pluck(:person_id)

      def said(question)
        return [] unless question.kind == :word

        meanings.fetch(question.word, []).filter_map do |row|
          [row.teacher&.name, row.effect] unless row.teacher_id == question.section.choreographer
        end
      end

      def meanings
        @meanings ||= @piece.studio.word_meanings.holding.includes(:teacher).group_by(&:word)
      end
    end
  end
end
