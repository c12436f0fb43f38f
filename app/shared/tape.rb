# frozen_string_literal: true

module App
  module Shared
    # A choreographer's cloth tape: a colour and a weave, so that it reads without colour. Twelve of them.
    module Tape
      COLOURS = %w[
        #b9482d
        #2c6e66
        #414f9e
        #9a6a0b
        #7a3b69
        #55702a
        #34688d
        #76503a
        #ab3659
        #24573b
        #4b4b55
        #b1571a
      ].freeze
      SIZE = 8
      # What is woven into the colour, drawn in white on a tile of eight.
      WEAVES = [
        "",
        '<path d="M-2 6 6 -2M2 10 10 2" stroke-width="1.6"/>',
        '<path d="M0 2.6H8M0 5.4H8" stroke-width="1.3"/>',
        '<circle cx="2" cy="2" r="1.2" fill="#fff" stroke="none"/><circle cx="6" cy="6" r="1.2" fill="#fff" ' \
        'stroke="none"/>',
        '<path d="M0 5 2 2.5 4 5 6 2.5 8 5" stroke-width="1.3"/>',
        '<path d="M0 0 8 8M8 0 0 8" stroke-width="1"/>',
        '<path d="M2 0V8M6 0V8" stroke-width="1.3"/>',
        '<path d="M2 -2 10 6M-2 2 6 10" stroke-width="1.6"/>',
        '<path d="M2.5 2.5h3v3h-3z" fill="#fff" stroke="none"/>',
        '<path d="M0 4H8" stroke-width="2.4"/>',
        '<path d="M4 1V4M0 5V8M8 5V8" stroke-width="1.3"/>',
        '<path d="M0 1.5H8M0 4H8M0 6.5H8" stroke-width=".9"/>'
      ].freeze
      NOBODY = "#8a8274"

      module_function

      def colour(tape) = tape ? COLOURS[(tape - 1) % COLOURS.size] : NOBODY

      # One SVG tile of a tape.
      def tile(tape)
        weave = tape ? WEAVES[(tape - 1) % WEAVES.size] : '<path d="M0 4H8" stroke-width="1" stroke-dasharray="2 2"/>'
        ground = %(<rect width="8" height="8" fill="#{colour(tape)}"/>)
        ground + %(<g stroke="#fff" stroke-opacity=".62" fill="none">#{weave}</g>)
      end

      # Pattern definitions for a drawing; ids are unique by its key.
      def patterns(tapes, key)
        Drawing.tag(:defs, tapes.uniq.map do |tape|
          Drawing.tag(
            :pattern,
            tile(tape),
            id: id(tape, key),
            width: SIZE,
            height: SIZE,
            patternUnits: "userSpaceOnUse"
          )
        end.join)
      end

      def id(tape, key) = "tape-#{tape || 'none'}-#{key}"
      def fill(tape, key) = "url(##{id(tape, key)})"
      def css(tape) = "tape tape-#{tape || 'none'}"
    end
  end
end
