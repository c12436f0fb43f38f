# frozen_string_literal: true

module Core
  module Planning
    # How a teacher's rehearsals come out against what was estimated, drawn towards 1 while there are few of them: the
    # estimate counts like two hours that came out as planned (shrinkage towards the mean).
    #
    #   Actuals.factor([[30, 45], [30, 45]])  # => 1.17 (180 + 30 of 180)
    module Actuals
      PRIOR = 120.0

      module_function

      # slots: [[planned minutes, actual minutes], …].
      def factor(slots) = ((PRIOR + slots.sum(&:last)) / (PRIOR + slots.sum(&:first))).clamp(0.5, 2.0)
    end
  end
end
