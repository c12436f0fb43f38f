# frozen_string_literal: true

module Core
  module Joins
    # One thing that a join depends on and nobody has said, answered by one tap. kind: :word (what a word does), :turn
    # (how far a turn goes), :state (of the body at an edge), :group_who, :group_when or :group_end (who is meant by a
    # name, when the others begin, how a group with its own steps ends); state: :weight, :facing or :level; edge: :exit
    # of the leaving or :entry of the entering section; section: Piece::Section whose teacher knows; row: its eight;
    # word: in question, as typed; options: [Symbol], the likeliest first; index: of the join's leaving link.
    class Question < Values::Value.of(
      :kind, :state, :edge, :section, :index, :options, row: nil, word: nil, mends: {}.freeze
    )
      # By which it is known: the same doubt is the same question, wherever it matters.
      def key
        return "w:#{section.choreographer}:#{Movement::Vocabulary.fold(word)}" if kind == :word

        return "g:#{[kind, section.id, row, state, Movement::Vocabulary.fold(word)].join(':')}" if group?

        "#{kind == :turn ? 't' : 'e'}:#{section.id}:#{edge}:#{state}"
      end

      # Whether it is about groups.
      def group? = %i[group_who group_when group_end].include?(kind)

      # The Mend that an answer is, for questions that are no word's; nil for another option.
      def mend(option) = mends[option]
    end
  end
end
