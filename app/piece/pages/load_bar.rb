# frozen_string_literal: true

module App
  module Piece
    module Pages
      # One choreographer's load as lengths of tape, a piece for each section.
      class LoadBar
        WIDTH = 330

        def self.svg(load) = new(load).svg

        # load: ShareOut::Load.
        def initialize(load)
          @load = load
          @tape = load.person&.tape
          @key = "load-#{load.person&.id || 0}"
        end

        def svg
          label = "#{@load.person&.name}: #{@load.sections.map(&:name).join(', ')}"
          drawn = Shared::Tape.patterns([@tape], @key) + strips.join
          Shared::Drawing.drawing(WIDTH, 20, drawn, label:, class: "share-svg", preserveAspectRatio: "none")
        end

        private

        def scale = @load.eights.zero? ? 0 : (WIDTH * @load.share) / @load.eights

        def strips
          x = 0
          @load.sections.map do |section|
            width = [section.eights * scale, 2].max
            drawn = strip(section, x, width)
            x += width
            drawn
          end
        end

        def strip(section, left, width)
          title = Shared::Drawing.title("#{section.name}, #{Shared::Amount.of(section.eights)} eights")
          fill = Shared::Tape.fill(@tape, @key)
          Shared::Drawing.tag(:rect, title, x: left, y: 2, width: [width - 2, 1].max, height: 16, fill:)
        end
      end
    end
  end
end
