# frozen_string_literal: true

module App
  module Planning
    # What the forms about a plan send.
    module Shapes
      WISHES = {
        full_runs: :text,
        ready_days: :text,
        quorum: :text,
        cleaning: :text,
        editing_days: :text,
        was: :text,
        **Records::Piece::DEADLINES.to_h { |name| [name.to_sym, :text] }
      }.freeze
      # A change that is tried, or what a plan should be like.
      ASKED = ["change", "soon", *Changes::FIELDS].to_h { |name| [name.to_sym, :text] }
    end
  end
end
