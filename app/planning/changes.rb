# frozen_string_literal: true

module App
  module Planning
    # One thing changed, to see what a plan would then be, and done for good when it is wanted. A class a kind: what of
    # a form it understands, what it says, what a plan is then made from, and what doing it writes.
    module Changes
      # The change that a form asks for; one that says nothing of use is not valid.
      def self.of(piece, asked)
        kind = KINDS.find { |each| each == asked["change"] } or return Change.new(piece, asked)
        const_get(kind.camelize).new(piece, asked)
      end

      # What the form of What if may send, beside the kind.
      FIELDS = %w[school rehearsal date start end person passes section teacher link count share room from to which]
        .freeze
      KINDS = %w[
        school without extra freed comes away leaves room passes teacher helper runs runs_without dates plain quorum
      ].freeze
    end
  end
end
