# frozen_string_literal: true

module App
  module Programs
    module Answers
      # How every join of a piece stands, in running order.
      class Joins
        def initialize(piece, _now) = @snapshot = Reading::PieceSnapshots.of(piece)

        def rows
          @snapshot.standings.map do |each|
            agreed = each.agreement
            { index: each.index, from: each.join.leaving.name, to: each.join.entering.name, state: each.state.to_s,
              owner: each.owner_id, agreed_on: agreed&.day&.iso8601, agreed_words: agreed&.words.presence,
              changed_since: each.changed.map(&:to_s), have: each.have.first, of: each.have.last }
          end
        end
      end
    end
  end
end
