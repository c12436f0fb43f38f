# frozen_string_literal: true

module App
  module Home
    module Pages
      # One piece on Home: its small chain, days to the show, how much is learned, what needs a decision.
      class PieceCard < Reading::PiecePage
        def initialize(piece, member, now) = super(piece:, member:, now:)

        def days = piece.days_to_show(today)
        def percent = snapshot.percent
        def chain = SmallChain.new(self)
        def decisions = @decisions ||= Decisions.new(self).all
        def questions = Reading::OpenQuestions.new(piece, snapshot).of(member, today)
        def cast_size = snapshot.cast.size
      end
    end
  end
end
