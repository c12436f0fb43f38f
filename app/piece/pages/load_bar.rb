# frozen_string_literal: true

module App
  module Piece
    module Pages
      # One choreographer's load as lengths of tape, a piece for each section.
      module LoadBar
        WIDTH = 330

        def self.svg(load)
          tape = load.person&.tape
          key = "load-#{load.person&.id || 0}"
          scale = load.eights.zero? ? 0 : (WIDTH * load.share) / load.eights
          x = 0
          strips = load.sections.map do |section|
            width = [section.eights * scale, 2].max
            strip =
              Shared::Drawing.tag(
                :rect,
                Shared::Drawing.title("#{section.name}, #{Shared::Amount.of(section.eights)} eights"),
                x:,
                y: 2,
                width: [width - 2, 1].max,
                height: 16,
                fill: Shared::Tape.fill(tape, key)
              )
            x += width
            strip
          end
          label = "#{load.person&.name}: #{load.sections.map(&:name).join(', ')}"
          Shared::Drawing.drawing(
            WIDTH,
            20,
            Shared::Tape.patterns([tape], key) + strips.join,
            label:,
            class: "share-svg",
            preserveAspectRatio: "none"
          )
        end
      end
    end
  end
end
