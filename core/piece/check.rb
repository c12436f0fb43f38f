# frozen_string_literal: true

module Core
  module Piece
    # A whole piece, walked: every link's body at both ends, what cannot be danced as written, forks, music.
    class Check
      Walked = Struct.new(:placed, :entry, :exit, keyword_init: true)
      attr_reader :work, :danced

      def initialize(work, vocabulary: Movement::Vocabulary::DEFAULT)
        @work = work
        @danced = Danced.new(work, vocabulary:)
      end

      # [Walked]: each placed link with the body at its entry and exit.
      def links
        @links ||=
          work.order.links.map { |placed| Walked.new(placed:, entry: walk(placed).entry, exit: walk(placed).exit) }
      end

      # [[link index, Movement::Walk::Finding], …] in order of the piece.
      def findings
        work.order.links.flat_map { |placed| walk(placed).findings.map { |finding| [placed.index, finding] } }
      end

      # [Fork]: the counts at which repeats part.
      def forks = @danced.forks

      # [MusicFit finding].
      def music = MusicFit.new(work).findings

      private

      def walk(placed) = @danced.walk(placed.link)
    end
  end
end
