# frozen_string_literal: true

module App
  module Spacing
    module Pages
      # The floor from above, audience below: boards, everybody's mark turned the way they face, and the ways they come
      # by.
      class FloorPicture
        SCALE = 44
        SIDE = 44
        TOP = 26
        # A mark for each group, pointing to the front; the groups come round after six.
        SHAPES = [
          "M0 -12A12 12 0 1 0 .01 -12Z",
          "M-11 -11H11V11H-11Z",
          "M-11 -10H11V5L0 12L-11 5Z",
          "M0 -14.5L14.5 0L0 14.5L-14.5 0Z",
          "M-11.5 -6.5L0 -13L11.5 -6.5V6.5L0 13L-11.5 6.5Z",
          "M-11 11V0A11 11 0 0 1 11 0V11Z"
        ].freeze

        def initialize(page) = @page = page

        def width = (@page.width * SCALE) + (SIDE * 2)
        def height = (@page.depth * SCALE) + TOP + 34

        def svg
          inner = boards + metres + ways + passes + spots
          Shared::Drawing.drawing(
            width,
            height,
            inner,
            label: I18n.t("floor.label", name: @page.link.name, moment: @page.moment_name(@page.moment)),
            class: "floor-picture",
            role: "group"
          )
        end

        def x(metres) = (width / 2) + (metres * SCALE)
        def y(metres) = TOP + ((@page.depth - metres) * SCALE)

        private

        def boards = floor + planks.join + middle + words

        def left = x(-@page.width / 2)
        def wide = @page.width * SCALE

        def floor
          Shared::Drawing.tag(:rect, x: left, y: TOP, width: wide, height: @page.depth * SCALE, class: "boards")
        end

        def planks
          (1...(@page.depth * 2).floor).map do |half_metres|
            at = y(half_metres / 2.0)
            Shared::Drawing.tag(:line, x1: left, x2: left + wide, y1: at, y2: at, class: "board")
          end
        end

        def middle = Shared::Drawing.tag(:line, x1: x(0), x2: x(0), y1: TOP, y2: y(0), class: "middle")

        def words
          { "floor.audience" => y(0) + 24, "floor.back" => TOP - 9 }.map do |key, at|
            Shared::Drawing.text(I18n.t(key), x: x(0), y: at, text_anchor: "middle", class: "audience")
          end.join
        end

        # Metres from the middle along the front edge.
        def metres
          half = (@page.width / 2).floor
          (-half..half).reject(&:odd?).map do |m|
            Shared::Drawing.tag(:line, x1: x(m), x2: x(m), y1: y(0), y2: y(0) + 5, class: "metre") +
              (
                if m.zero?
                  ""
                else
                  Shared::Drawing.text(m.abs, x: x(m), y: y(0) + 17, text_anchor: "middle", class: "metre-name")
                end
              )
          end.join
        end

        def ways
          @page.ways.all.select { |way| way.metres > 0.2 }.map do |way|
            Shared::Drawing.tag(
              :line,
              x1: x(way.from.x),
              y1: y(way.from.y),
              x2: x(way.to.x),
              y2: y(way.to.y),
              class: "way way-#{way.verdict}",
              data_way: way.person
            ) +
              Shared::Drawing.tag(
                :circle,
                cx: x(way.from.x),
                cy: y(way.from.y),
                r: 3,
                class: "came",
                data_way: way.person
              )
          end.join
        end

        def passes
          @page.near_passes.map do |one, other, _, share|
            middle = [@page.ways.at(one, share), @page.ways.at(other, share)].transpose.map { |pair| pair.sum / 2 }
            Shared::Drawing.tag(:circle, cx: x(middle[0]), cy: y(middle[1]), r: 15, class: "near-pass")
          end.join
        end

        def spots
          hidden = @page.hidden.map(&:first)
          @page.formation.spots.map { |person, spot| spot(person, spot, hidden.include?(person)) }.join
        end

        def spot(person, spot, hidden)
          name = @page.people[person]&.name || "?"
          label = spot_label(name, spot)
          Shared::Drawing.tag(
            :g,
            Shared::Drawing.title(label) + turning(person) + mark(person, spot) +
              Shared::Drawing.text(initials(name), y: 4, text_anchor: "middle", class: "who"),
            transform: "translate(#{Shared::Drawing.plain(x(spot.x))} #{Shared::Drawing.plain(y(spot.y))})",
            class: spot_classes(person, spot, hidden),
            data_p: person,
            tabindex: 0,
            role: "button",
            aria_label: label
          )
        end

        # The circle in which a wheelchair turns.
        def turning(person)
          return "" unless @page.wheels.include?(person)

          Shared::Drawing.tag(:circle, cx: 0, cy: 0, r: Core::Floor::Formation::TURNING / 2 * SCALE, class: "turning")
        end

        def spot_label(name, spot)
          deep = Shared::Drawing.plain(spot.y)
          facing = I18n.t("facings")[spot.facing - 1]
          I18n.t("floor.spot", name:, initials: initials(name), across: across(spot.x), deep:, facing:)
        end

        def spot_classes(person, spot, hidden)
          facts = { "pinned" => spot.pinned, "hidden-one" => hidden, "off-floor" => @page.off.include?(person) }
          ["spot", *facts.select { |_, so| so }.keys].join(" ")
        end

        def mark(person, spot)
          Shared::Drawing.tag(
            :g,
            Shared::Drawing.tag(
              :path,
              d: SHAPES[((@page.group_of(person)&.number || 1) - 1) % SHAPES.size],
              class: "shape"
            ) + Shared::Drawing.tag(:path, d: "M-4 15L0 20L4 15Z", class: "nose"),
            transform: "rotate(#{(spot.facing - 1) * 45})"
          )
        end

        def across(metres)
          return I18n.t("floor.in_the_middle") if metres.abs < 0.05

          I18n.t(metres.positive? ? "floor.right_of" : "floor.left_of", metres: Shared::Drawing.plain(metres.abs))
        end

        def initials(name)
          name.split.then { |words| [words.first, (words.last if words.size > 1)].compact.map { |word| word[0] }.join }
        end
      end
    end
  end
end
