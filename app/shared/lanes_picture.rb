# frozen_string_literal: true

module App
  module Shared
    # Every group's line on the same counts: moving is tape, holding a thin bar, freestyle dotted, off nothing. With a
    # dancer picked, their groups stand out and the others are grey.
    class LanesPicture
      SIDE = 110
      WIDTH = 860
      ROW = 40
      TOP = 30

      def initialize(page, width: WIDTH, side: SIDE)
        @page = page
        @width = width
        @side = side
      end

      def svg
        key = "lanes"
        Drawing.drawing(
          @width,
          height,
          Tape.patterns([tape], key) + axis + rows(key) + marks,
          label: I18n.t("lines.label", name: @page.link.name),
          class: "lanes"
        )
      end

      private

      def height = TOP + (ROW * groups.size) + 8
      def groups = @groups ||= @page.groups
      def tape = @page.tape(@page.section)
      def first = @first ||= [1, *@page.lanes.all.map(&:from)].min
      def last = @page.link.counts
      def scale = @scale ||= (@width - @side - 4) / (last - first + 1).to_f
      def x(count) = @side + ((count - first) * scale)
      def y(row) = TOP + (ROW * row)

      def axis
        lines = (first..(last + 1)).select { |count| ((count - 1) % 8).zero? || count == last + 1 }
        lines.map do |count|
          Drawing.tag(
            :line,
            x1: x(count),
            x2: x(count),
            y1: TOP - 6,
            y2: height - 6,
            class: count == 1 ? "start" : "eight"
          ) + (count > last ? "" : Drawing.text(count, x: x(count) + 3, y: 16, class: "count"))
        end.join
      end

      def rows(key) = groups.each_with_index.map { |group, i| row(group, i, key) }.join

      def row(group, index, key)
        dim = @page.person && !@page.own_groups.include?(group.id)
        lanes = @page.lanes.by_group.fetch(group.id, [])
        Drawing.tag(
          :g,
          Drawing.text(group.name, x: 0, y: y(index) + 23, class: "group-name") +
            lanes.map { |lane| lane(lane, index, key) }.join,
          class: dim ? "dim" : nil
        )
      end

      def lane(lane, index, key)
        left = x(lane.from) + 1
        long = ((lane.to - lane.from + 1) * scale) - 2
        tip =
          Drawing.title(I18n.t("lines.lane", doing: I18n.t("lines.doing.#{lane.doing}"), from: lane.from, to: lane.to))
        case lane.doing
        when :moving then moving(lane, index, key, tip, left, long)
        when :holding
          Drawing.tag(:rect, tip, x: left, y: y(index) + 16, width: long, height: 6, rx: 3, class: "holding")
        when :free
          Drawing.tag(:rect, tip, x: left, y: y(index) + 8, width: long, height: 22, rx: 3, class: "free")
        else
          Drawing.tag(:line, tip, x1: left, x2: left + long, y1: y(index) + 19, y2: y(index) + 19, class: "off")
        end
      end

      # Steps of its own are outlined and say so.
      def moving(lane, index, key, tip, left, long)
        bar = Drawing.tag(
          :rect, tip, x: left, y: y(index) + 7, width: long, height: 24, rx: 3, fill: Tape.fill(tape, key),
                      class: lane.own ? "moving own" : "moving"
        )
        return bar unless lane.own && long > 60

        bar + Drawing.text(I18n.t("lines.own"), x: left + 6, y: y(index) + 23, class: "own-word")
      end

      # What the checks find, where it is.
      def marks
        @page.findings
          .reject { |finding| finding.kind == :no_line }
          .flat_map { |finding| finding.groups.map { |group| mark(finding, group) } }
          .join
      end

      def mark(finding, group)
        index = groups.index { |each| each.id == group } or return ""
        from = finding.kind == :not_together ? finding.ends.fetch(group, finding.from) : finding.from
        to = finding.kind == :not_together ? from : [finding.to, last].min
        Drawing.tag(
          :rect,
          Drawing.title(@page.finding_text(finding)),
          x: finding.kind == :not_together ? x(from + 1) - 2 : x(from),
          y: y(index) + 3,
          width: finding.kind == :not_together ? 4 : (to - from + 1) * scale,
          height: 32,
          class: "finding finding-#{finding.kind}"
        )
      end
    end
  end
end
