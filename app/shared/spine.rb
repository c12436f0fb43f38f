# frozen_string_literal: true

module App
  module Shared
    # The piece's chain across the top: links to length, joins between, what is learned, what runs today.
    class Spine
      WIDTH = 1224
      GAPS = { joined: -12, apart: 9, question: 8, clash: 12 }.freeze
      LEAST = 40
      TOP = 24
      TALL = 42
      Place = Struct.new(:link, :x, :width) do
        def right = x + width
        def middle = x + (width / 2.0)
      end

      def initialize(page)
        @page = page
      end

      def empty? = links.empty?
      def width = empty? ? WIDTH : [places.last.right + 4, WIDTH].max.ceil
      def height = chain ? 132 : 110

      def svg = @page.snapshot.memo([:spine, @page.at]) { draw }

      # Joins to pick: [label, x, path].
      def join_picks
        joins.map do |join|
          [
            join_label(join),
            ((place(join.leaving).right + place(join.entering).x) / 2) - 11,
            @page.path("/joins/#{join.index}")
          ]
        end
      end

      # Places to pick: [label, x, width, value of `at`, picked?].
      def picks
        links.map do |link|
          [pick_label(link), place(link).x, place(link).width, link.index.to_s, @page.at == link.index.to_s]
        end
      end

      def joins = @page.snapshot.memo(:joins) { Core::Joins::Sequence.new(@page.order).joins }

      # :clash and :question as long as the join is not agreed; else :joined when enough of those in it have it at slow
      # counts, and :apart before.
      def state(join) = @page.snapshot.memo([:join_state, join.index]) { judge(join) }

      # The longest chain that runs today, or nil.
      def chain = @page.snapshot.memo([:chain, @page.piece.setting("ready_share")]) { longest }

      private

      def draw
        key = "spine"
        inner =
          Tape.patterns(links.map { |link| @page.tape(link.section) }, key) + clips + times + capsules(key) + seams +
          bars + echoes + bracket
        Drawing.drawing(
          width,
          height,
          inner,
          label: I18n.t("spine.label", title: @page.piece.title),
          class: "spine-chain"
        )
      end

      def judge(join)
        standing = @page.standings[join.index - 1]
        return standing.state if %i[clash question].include?(standing.state)

        item = @page.items.of_join(join.index)
        dancers = @page.items.dancers(item)
        dancers.any? && @page.progress.share(dancers, item.key, at: 2) >= 0.8 ? :joined : :apart
      end

      def longest
        people = @page.items.all.flat_map { |item| @page.items.dancers(item) }.uniq
        Core::Learning::LongestChains
          .new(
            links: links.size,
            present: people,
            items: @page.items,
            progress: @page.progress,
            share: @page.piece.setting("ready_share")
          )
          .all
          .first
      end

      def links = @page.order.links
      def place(link) = places[link.index - 1]

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

      def gap(index)
        if index.zero?
          0
        else
          GAPS.fetch(states[index - 1])
        end
      end

      def states = @states ||= joins.map { |join| state(join) }

      def widths
        @widths ||= begin
          room = WIDTH - 8 - (1...links.size).sum { |i| gap(i) }
          total = [@page.order.total_counts, 1].max
          spare = [room - (LEAST * links.size), 0].max
          links.map { |link| LEAST + (spare * link.counts.fdiv(total)) }
        end
      end

      def clips
        boxes = joins.zip(states).filter_map do |join, state|
          next unless state == :joined

          x = place(join.entering).x - 6
          Drawing.tag(
            :clipPath,
            Drawing.tag(:rect, x:, y: TOP + (TALL / 2), width: 30, height: TALL),
            id: "hook-#{join.index}"
          )
        end
        Drawing.tag(:defs, boxes.join)
      end

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

      def capsules(key)
        drawn = links.map { |link| capsule(link, key) }.join
        hooks =
          joins.zip(states)
            .map do |join, state|
              if state == :joined
                Drawing.tag(:g, ring(join.leaving, key, fill: "none"), clip_path: "url(#hook-#{join.index})")
              else
                ""
              end
            end
        drawn + hooks.join + links.map { |link| label(link) }.join
      end

      def capsule(link, key)
        Drawing.tag(
          :g,
          Drawing.title(pick_label(link)) + ring(link, key, fill: nil),
          class: ["capsule", ("picked" if @page.at == link.index.to_s)].compact.join(" ")
        )
      end

      # Marks between links: a question where they touch, a crack, the notch of what changed since it was agreed.
      def seams = joins.map { |join| seam(join) }.join

      def seam(join)
        kind = states[join.index - 1]
        mark = { question: SeamMark.question, clash: SeamMark.clash }[kind]
        at = (place(join.leaving).right + place(join.entering).x) / 2
        drawn = if mark
                  Drawing.tag(
                    :g,
                    (kind == :question ? Drawing.tag(:circle, cx: 18, cy: 12, r: 11, class: "seam-back") : "") + mark,
                    transform: "translate(#{Drawing.plain(at - 18)} #{TOP + 9})",
                    class: "seam-#{kind}"
                  )
                else
                  ""
                end
        drawn +
          (
            if @page.standings[join.index - 1].state == :changed
              Drawing.tag(:path, d: "M#{Drawing.plain(at - 5)} 20h10l-5 7z", class: "seam-notch")
            else
              ""
            end
          )
      end

      def ring(link, key, fill:)
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
          stroke: Tape.fill(@page.tape(link.section), key),
          stroke_width: 7
        )
      end

      def label(link)
        place = place(link)
        Drawing.text(fit(link, place.width - 26), x: place.middle, y: TOP + 25.5, text_anchor: "middle", class: "name")
      end

      def fit(link, room)
        most = (room / 6.7).floor
        return link.name if link.name.length <= most

        word = link.name.split.first
        word.length <= most ? word : letters[link.section.id]
      end

      def letters = @letters ||= @page.piece.sections.to_h { |section| [section.id, section.letter] }

      def bars
        links.map do |link|
          place = place(link)
          long = place.width - 30
          share = learned(link)
          Drawing.tag(:rect, x: place.x + 15, y: 75, width: long, height: 4, rx: 2, class: "bar-all") +
            (
              if share.positive?
                Drawing.tag(:rect, x: place.x + 15, y: 75, width: long * share, height: 4, rx: 2, class: "bar-have")
              else
                ""
              end
            )
        end.join
      end

      def learned(link)
        item = @page.items.of_link(link.index)
        @page.snapshot.memo([:learned, item.key]) do
          dancers = @page.items.dancers(item)
          dancers.empty? ? 0.0 : @page.progress.share(dancers, item.key)
        end
      end

      def echoes
        links.map do |link|
          text = echo(link)
          if text.empty? || place(link).width < 56
            ""
          else
            Drawing.text(text, x: place(link).middle, y: 96, text_anchor: "middle", class: "echo")
          end
        end.join
      end

      def echo(link)
        case link.echo
        when :altered then I18n.t("echo.altered", eights: link.link.changes.touched.join("·"))
        when :first then ""
        else I18n.t("echo.#{link.echo}")
        end
      end

      def pick_label(link)
        bits = [
          "#{link.index}. #{link.name}",
          echo(link),
          I18n.t("spine.counts", from: link.start_count, to: link.end_count)
        ]
        [*bits.reject(&:empty?), I18n.t("spine.have", percent: (learned(link) * 100).round)].join(", ")
      end

      def join_label(join) = "#{join.name}: #{I18n.t("joins.verdicts.#{@page.standings[join.index - 1].state}")}"

      def bracket
        return "" unless chain

        from = place(links[chain.from - 1]).x + 6
        to = place(links[chain.to - 1]).right - 6
        seconds = links[(chain.from - 1)..(chain.to - 1)].sum(&:seconds)
        text =
          I18n.t(
            chain.length == 1 ? "spine.runs_one" : "spine.runs",
            from: links[chain.from - 1].name,
            to: links[chain.to - 1].name,
            length: Formats::Times.length(seconds)
          )
        Drawing.tag(:path, d: "M#{Drawing.plain(from)} 104v8H#{Drawing.plain(to)}v-8", class: "bracket") +
          Drawing.text(text, x: [from + 2, 4].max, y: 127, class: "runs")
      end
    end
  end
end
