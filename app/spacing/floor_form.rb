# frozen_string_literal: true

module App
  module Spacing
    # How wide and deep the floor is, as typed.
    module FloorForm
      SIZES = %w[width depth].freeze

      module_function

      def of(piece, sent = nil)
        now = SIZES.to_h { |name| [name, Shared::Drawing.plain(piece.setting("floor")[name].to_f)] }
        Shared::OpenForm.new(now, sent: sent&.slice(*SIZES, "was"))
      end

      # "Wide: yours 10 m, meanwhile 11 m."
      def both(form)
        form.conflicts.map { |each| I18n.t("floor.both.#{each.name}", mine: each.mine, theirs: each.theirs) }.join(" ")
      end
    end
  end
end
