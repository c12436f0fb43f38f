# frozen_string_literal: true

module App
  module Runs
    # The runs under the spine, the newest last: what was danced, where it stopped, the longest stretch that went well,
    # and every trouble spot at its count, as chalk strokes that stand above the line; two who ran into each other are
    # crossed. A run's strip stands on the same counts as the links above it.
    class RunsPicture
      ROW = 46
      TOP = 4
      BASE = 34
      STROKE = 12

      # page: Pages::Index.
      def initialize(page, runs: page.runs)
        @page = page
        @runs = runs
        @spine = Shared::SpinePicture.new(page.spine)
      end

      def svg
        drawn = @runs.each_with_index.map { |run, i| strip(run, TOP + (ROW * i)) }
        Shared::Drawing.drawing(width, height, seams + drawn.join, label: I18n.t("runs.picture"), class: "runs-strips")
      end

      def width = @spine.width
      def height = TOP + (ROW * @runs.size) + 4

      # Where a count of the piece lies, from the left.
      def x(count)
        eight = eights.at(count) || eights.all.last
        link = @page.order.links[eight.link - 1]
        place = @spine.place(link)
        share = [(count - link.start_count) / link.counts.to_f, 1.0].min
        place.x + 4 + (share * (place.width - 8))
      end

      private

      def eights = @page.book.eights
      def tag(...) = Shared::Drawing.tag(...)

      def seams
        @page.snapshot.joins.map do |join|
          at = @spine.seam_at(join)
          tag(:line, x1: at, x2: at, y1: 0, y2: height, class: "runs-seam")
        end.join
      end

      def strip(run, top)
        base = top + BASE
        label = Shared::Drawing.text(words(run), x: 4, y: top + 13, class: "runs-words")
        stretches = run.stretches.map { |from, to| line(from, to, base, "runs-danced") }
        clean = @page.book.clean(run)
        best = clean ? line(clean.from, clean.to, base, "runs-clean") : ""
        tag(:g, label + stretches.join + best + stops(run, base) + run.troubles.map { |each| mark(each, base) }.join)
      end

      def words(run) = @page.run_words(run)

      def line(from, to, base, css)
        tag(:line, x1: x(from), x2: [x(to + 0.95), x(from) + 3].max, y1: base, y2: base, class: css)
      end

      # Where it was stopped on the way.
      def stops(run, base)
        run.stretches[0...-1].map do |_, to|
          tag(:line, x1: x(to + 0.95), x2: x(to + 0.95), y1: base - 6, y2: base + 6, class: "runs-stop")
        end.join
      end

      def mark(trouble, base)
        at = x(trouble.count)
        strokes = [tag(:line, x1: at, x2: at + 3, y1: base - 2, y2: base - 2 - STROKE, class: "runs-mark")]
        if trouble.kind == "collision"
          strokes << tag(:line, x1: at - 3, x2: at + 6, y1: base - 11, y2: base - 5, class: "runs-mark")
        end
        tag(:g, Shared::Drawing.title(@page.trouble_words(trouble)) + strokes.join)
      end
    end
  end
end
