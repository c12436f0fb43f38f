# frozen_string_literal: true

module App
  module Planning
    # The form of what a plan should aim at.
    module WishesForm
      # A film is there so many days after its filming: neither means anything without the other.
      UNITS = [%w[filming editing_days]].freeze

      module_function

      def of(piece, sent = nil)
        Shared::OpenForm.new(now(piece), sent: sent&.slice(*now(piece).keys, "was"), units: UNITS)
      end

      def now(piece)
        deadlines = piece.setting("deadlines")
        {
          "full_runs" => piece.setting("full_runs"),
          "ready_days" => piece.setting("ready_days"),
          "quorum" => (piece.setting("quorum") * 100).round,
          "cleaning" => piece.setting("cleaning").to_f,
          **Records::Piece::DEADLINES.to_h { |name| [name, deadlines[name]] },
          "editing_days" => deadlines["editing_days"]
        }.transform_values(&:to_s)
      end

      # [[label, mine, theirs], …] of what two people changed.
      def conflicts(form) = form.conflicts.map { |each| [I18n.t("plans.wishes.#{each.name}"), each.mine, each.theirs] }
    end
  end
end
