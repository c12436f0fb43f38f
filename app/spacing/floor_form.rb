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
    end
  end
end
