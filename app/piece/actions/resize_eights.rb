# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Changes how many eights a section has and how long each is; what is written on them stays.
      class ResizeEights
        def initialize(section) = @section = section

        def resize(counts)
          eights = @section.eights.to_a
          return if eights.map(&:counts) == counts

          counts.each_with_index { |size, i| set(eights[i], size, i + 1) }
          @section.eights.where("position > ?", counts.size).delete_all
          @section.eights.reset
        end

        # The last written eight, as a number; 0 when nothing is written.
        def last_written = @section.eights.reject { |eight| eight.text == "" }.map(&:position).max || 0

        private

        def set(eight, counts, position)
          return eight.update!(counts:) if eight

          @section.eights.create!(studio_id: @section.studio_id, position:, counts:)
        end
      end
    end
  end
end
