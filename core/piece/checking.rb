# frozen_string_literal: true

module Core
  module Piece
    # What the joins of a piece are checked for: not every class needs feet. Counts, groups, tempo and repeats always
    # are; those of CHOICES as they are chosen. steady: words nobody knows never change the feet; steps: false where the
    # piece's steps are not written at all, and nothing of the body can be compared.
    class Checking < Values::Value.of(states: %i[weight facing level place hands].freeze, steady: false, steps: true)
      CHOICES = %i[weight facing level place hands].freeze

      # Of rules (classes of Rules), those that are looked at.
      def rules(all)
        left_out = CHOICES - states
        all.reject { |rule| left_out.include?(STATES[rule.name.split("::").last]) }
      end

      STATES = CHOICES.to_h { |state| [state.to_s.capitalize, state] }.freeze
      private_constant :STATES
    end
  end
end
