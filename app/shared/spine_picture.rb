# frozen_string_literal: true

module App
  module Shared
    # The spine drawn: links to length as chain links in their teacher's tape, joined ones interlocked, marks between
    # them, how many have it, and the bracket of what runs.
    class SpinePicture
      WIDTH = 1224
      GAPS = { joined: -12, apart: 9, question: 8, clash: 12 }.freeze
      LEAST = 40
      TOP = 24
      TALL = 42
      KEY = "spine"
      Place = Struct.new(:link, :x, :width) do
        def right = x + width
        def middle = x + (width / 2.0)
      end

      # spine: Spine.
      def initialize(spine) = @spine = spine

      def width = links.empty? ? WIDTH : [places.last.right + 4, WIDTH].max.ceil
      def height = @spine.chain ? 132 : 110
      def place(link) = places[link.index - 1]

      # Where a join lies, from the left.
      def seam_at(join) = (place(join.leaving).right + place(join.entering).x) / 2

      def svg
        tapes = Tape.patterns(links.map { |link| @spine.tape(link) }, KEY)
        drawn = [tapes, clips, times, capsules, seams, bars, echoes, bracket].join
        label = I18n.t("spine.label", title: @spine.title)
        Drawing.drawing(width, height, drawn, label:, class: "spine-chain")
      end

      private

      def links = @spine.links
      def joins = @spine.joins
      def states = @states ||= joins.map { |join| @spine.state(join) }
      def gap(index) = index.zero? ? 0 : GAPS.fetch(states[index - 1])

      def places
        @places ||= begin
          x = 4.0
          links.map do |link|
            x += gap(link.index - 1)
            place = Place.new(link, x, widths[link.index - 1])
            x = place.right
            place
          end
        end
      end

      def widths
        @widths ||= begin
          room = WIDTH - 8 - (1...links.size).sum { |i| gap(i) }
          total = [@spine.total_counts, 1].max
          spare = [room - (LEAST * links.size), 0].max
          links.map { |link| LEAST + (spare * link.counts.fdiv(total)) }
        end
      end

      # Where two links interlock, the lower half of the hook lies above.
      def clips
        boxes = joined.map do |join|
          box = Drawing.tag(:rect, x: place(join.entering).x - 6, y: TOP + (TALL / 2), width: 30, height: TALL)
          Drawing.tag(:clipPath, box, id: "hook-#{join.index}")
        end
        Drawing.tag(:defs, boxes.join)
      end

      def joined = joins.select { |join| states[join.index - 1] == :joined }

      def times
        free = -1.0
        links.map do |link|
          x = place(link).x
          next "" if x < free

          label = Formats::Times.length(link.start_seconds)
          free = x + 34
          Drawing.tag(:line, x1: x + 1, x2: x + 1, y1: 3, y2: 18, class: "tick") +
            Drawing.text(label, x: x + 5, y: 14, class: "time")
        end.join
      end

      def capsules
        hooks = joined.map do |join|
          Drawing.tag(:g, ring(join.leaving, fill: "none"), clip_path: "url(#hook-#{join.index})")
        end
        [*links.map { |link| capsule(link) }, *hooks, *links.map { |link| name(link) }].join
      end

      def capsule(link)
        classes = @spine.picked?(link) ? "capsule picked" : "capsule"
        Drawing.tag(:g, Drawing.title(@spine.label(link)) + ring(link, fill: nil), class: classes)
      end

      def ring(link, fill:)
        place = place(link)
        Drawing.tag(
          :rect,
          x: place.x + 4,
          y: TOP + 4,
          width: place.width - 8,
          height: TALL - 8,
          rx: 17,
          class: fill ? nil : "hole",
          fill:,
          stroke: Tape.fill(@spine.tape(link), KEY),
          stroke_width: 7
        )
      end

      def name(link)
        place = place(link)
        classes = @spine.unwritten(link) ? "name unwritten" : "name"
        Drawing.text(fit(link, place.width - 26), x: place.middle, y: TOP + 25.5, text_anchor: "middle", class: classes)
      end

      def fit(link, room)
        most = (room / 6.7).floor
        return link.name if link.name.length <= most

        word = link.name.split.first
        word.length <= most ? word : @spine.letter(link)
      end

      # Marks between links: a question where they touch, a crack, the notch of what changed since it was agreed.
      def seams = joins.map { |join| mark(join) + notch(join) }.join

      def mark(join)
        kind = states[join.index - 1]
        shape = { question: SeamMark.question, clash: SeamMark.clash }[kind] or return ""
        back = kind == :question ? Drawing.tag(:circle, cx: 18, cy: 12, r: 11, class: "seam-back") : ""
        moved = "translate(#{Drawing.plain(seam_at(join) - 18)} #{TOP + 9})"
        Drawing.tag(:g, back + shape, transform: moved, class: "seam-#{kind}")
      end

      def notch(join)
        return "" unless @spine.changed?(join)

        Drawing.tag(:path, d: "M#{Drawing.plain(seam_at(join) - 5)} 20h10l-5 7z", class: "seam-notch")
      end

      def bars = links.map { |link| bar(link) }.join

      def bar(link)
        place = place(link)
        long = place.width - 30
        strip = { x: place.x + 15, y: 75, height: 4, rx: 2 }
        share = @spine.learned(link)
        all = Drawing.tag(:rect, **strip, width: long, class: "bar-all")
        share.positive? ? all + Drawing.tag(:rect, **strip, width: long * share, class: "bar-have") : all
      end

      def echoes
        shown = links.reject { |link| @spine.echo(link).empty? || place(link).width < 56 }
        shown.map do |link|
          Drawing.text(@spine.echo(link), x: place(link).middle, y: 96, text_anchor: "middle", class: "echo")
        end.join
      end

      def bracket
        chain = @spine.chain or return ""
        from = place(links[chain.from - 1]).x + 6
        to = place(links[chain.to - 1]).right - 6
        line = "M#{Drawing.plain(from)} 104v8H#{Drawing.plain(to)}v-8"
        Drawing.tag(:path, d: line, class: "bracket") +
          Drawing.text(@spine.runs_text, x: [from + 2, 4].max, y: 127, class: "runs")
      end
    end
  end
end
