# frozen_string_literal: true

module Core
  module Movement
    class Walk
      # What is not known any more: after words nobody knows, after a dancer's choice, until it is known again.
      module Doubts
        private

        def settled(values)
          values.each { |name, known| @doubts.delete(name) unless known.source == :supposed }
          @doubts.delete(:words) if values[:weight] && values[:weight].source != :supposed
        end

        # Freestyle: afterwards nothing is known but what the text states.
        def free(move)
          return unless %i[feet body].include?(move.layer)

          return doubt([:facing], move) if seated?

          set(weight: Known.choice, facing: Known.choice)
          doubt([:level], move)
        end

        # Words nobody knows do nothing to the feet, as far as anybody knows.
        def unknown(move)
          return unless move.layer == :feet
          return doubt([:facing], move) if seated?

          @doubts[:words] = Doubt.new(row: @row, move:)
          return doubt([:level], move) if @steady && move.doubts.empty?

          @used = true if @state.weight.value.nil?
          doubt(move.doubts.empty? ? %i[weight facing level] : [], move)
        end

        # Values that something unknown came after.
        def doubt(names, move)
          names -= seated? ? %i[weight level start] : [:start]
          names.each do |name|
            known = @state.public_send(name)
            @doubts[name] = Doubt.new(row: @row, move:)
            @state = @state.with(name => Known.supposed(known.value)) unless known.source == :choice
          end
        end
      end
    end
  end
end
