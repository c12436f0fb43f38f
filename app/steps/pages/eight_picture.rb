# frozen_string_literal: true

module App
  module Steps
    module Pages
      # One eight drawn: its moves on their counts, the foot that bears the weight on two rails, which way it faces, how
      # low it is. A step on the foot that already bears the weight is outlined with two small strokes.
      class EightPicture
        WIDTH = 820
        LEFT = 44
        WORDS = 16
        RAILS = [38, 52].freeze
        FACES = 72

        # walk: Movement::Walk; row: the eight's number in it.
        def initialize(line, walk, row, vocabulary: Core::Movement::Vocabulary::DEFAULT)
          @line = line
          @row = row
          @ribbon = Core::Movement::Ribbon.new(line, walk, row, vocabulary:)
          @questions = walk.findings.select { |finding| finding.row == row && finding.count }
        end

        def svg
          Shared::Drawing.drawing(
            WIDTH,
            88,
            grid + words + rails + facings + levels + questions,
            label: I18n.t("steps.picture", eight: @row),
            class: "eight-picture"
          )
        end

        private

        def scale = @scale ||= (WIDTH - LEFT - 4) / @line.length.to_f
        def x(at) = LEFT + (at.clamp(0, @line.length) * scale)

        def grid
          counts =
            (0...@line.counts).map do |i|
              Shared::Drawing.tag(:line, x1: x(i * 12), x2: x(i * 12), y1: 2, y2: 84, class: "count-line")
            end
          counts.join + RAILS.zip(%w[left right]).map { |y, name| rail(y, name) }.join
        end

        def rail(y, name)
          Shared::Drawing.tag(:line, x1: LEFT, x2: WIDTH - 4, y1: y, y2: y, class: "rail") +
            Shared::Drawing.text(name, x: LEFT - 8, y: y + 4, text_anchor: "end", class: "rail-name")
        end

        def words
          placed = @line.placed.sort_by(&:at)
          placed.each_with_index.map { |move, i| word(move, placed[i + 1]) }.join
        end

        def word(move, later)
          room = ((later ? x(later.at) : WIDTH) - x(move.at) - 18) / 6.5
          Shared::Drawing.text(number(move.at), x: x(move.at) + 3, y: WORDS, class: "count layer-#{move.layer}") +
            Shared::Drawing.text(
              short(move.text, room),
              x: x(move.at) + 15,
              y: WORDS,
              class: "move move-#{move.kind} layer-#{move.layer}"
            )
        end

        def short(text, room) = text.length <= room ? text : "#{text[0, [room.floor - 1, 1].max]}…"

        # What is called on a position: the count itself on the beat, else its part.
        def number(at)
          return (((at / 12) + @line.called - 1) % [@line.counts, 8].max) + 1 if (at % 12).zero?

          { 3 => "e", 6 => "&" }.fetch(at % 12, "a")
        end

        def spans(name) = @ribbon.spans(name)

        def rails
          spans(:weight).map { |from, to, value, supposed| weight(from, to, value, supposed) }.join
        end

        def weight(from, to, value, supposed)
          rows = { left: [RAILS[0]], right: [RAILS[1]], both: RAILS }.fetch(value, [])
          if %i[seated floor].include?(value)
            return Shared::Drawing.text(value.to_s, x: x(from) + 4, y: RAILS[1] - 3, class: "body-word")
          end

          rows
            .map do |y|
              Shared::Drawing.tag(
                :rect,
                x: x(from) + 1,
                y: y - 3,
                width: [x(to) - x(from) - 2, 2].max,
                height: 6,
                rx: 3,
                class: supposed ? "weight is-supposed" : "weight"
              )
            end
            .join
        end

        def facings
          spans(:facing)
            .map do |from, _, value, supposed|
              if value && !supposed
                face(from, value)
              else
                Shared::Drawing.text("?", x: x(from) + 6, y: FACES + 5, class: "body-word")
              end
            end
            .join
        end

        def face(at, value)
          turned = "translate(#{Shared::Drawing.plain(x(at) + 9)} #{FACES}) rotate(#{(value - 1) * 45})"
          Shared::Drawing.tag(
            :path,
            Shared::Drawing.title(I18n.t("facings")[value - 1]),
            d: "M0 7 L5 -5 L0 -2 L-5 -5 Z",
            class: "face",
            transform: turned
          )
        end

        def levels
          spans(:level)
            .reject { |_, _, value| value.nil? || value == :standing }
            .map { |from, to, value| level(from, to, value) }
            .join
        end

        def level(from, to, value)
          Shared::Drawing.tag(
            :rect,
            x: x(from) + 20,
            y: FACES - 1,
            width: [x(to) - x(from) - 24, 4].max,
            height: 2,
            class: "level"
          ) + Shared::Drawing.text(I18n.t("levels.#{value}"), x: x(from) + 22, y: FACES - 5, class: "body-word")
        end

        def questions
          @questions.map { |finding| mark((finding.count - 1) * 12) }.join
        end

        def mark(at)
          Shared::Drawing.tag(
            :path,
            Shared::Drawing.title(I18n.t("steps.question")),
            d: "M#{Shared::Drawing.plain(x(at) + 3)} 33l5 -9m4 9l5 -9",
            class: "question"
          )
        end
      end
    end
  end
end
