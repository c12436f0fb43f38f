# frozen_string_literal: true

module App
  module Home
    module Pages
      # A piece's chain in small: a capsule a link, joined or apart.
      class SmallChain
        WIDTH = 720
        TALL = 22

        def initialize(page) = @page = page

        def svg = @page.snapshot.memo(:small_chain) { draw }

        private

        def draw
          key = "small-#{@page.piece.id}"
          links = @page.order.links
          inner =
            Shared::Tape.patterns(links.map { |link| @page.tape(link.section) }, key) +
            links.map { |link| capsule(link, key) }.join
          Shared::Drawing.drawing(
            WIDTH,
            TALL + 12,
            inner,
            label: I18n.t("spine.label", title: @page.piece.title),
            class: "small-chain"
          )
        end

        def scale = @scale ||= (WIDTH - 4) / [@page.order.total_counts, 1].max.to_f

        def capsule(link, key)
          x = 2 + ((link.start_count - 1) * scale)
          joined = link.index > 1 && @page.spine.state(@page.spine.joins[link.index - 2]) == :joined
          left = joined ? x - 3 : x + 2
          width = [(link.counts * scale) - (joined ? -1 : 4), 6].max
          Shared::Drawing.tag(
            :rect,
            Shared::Drawing.title(link.name),
            x: left + 2,
            y: 3,
            width: width - 4,
            height: TALL - 6,
            rx: 8,
            class: "hole",
            stroke: Shared::Tape.fill(@page.tape(link.section), key),
            stroke_width: 4
          ) + bar(link, left, width)
        end

        def bar(link, x, width)
          item = @page.items.of_link(link.index)
          dancers = @page.items.dancers(item)
          share = dancers.empty? ? 0 : @page.progress.share(dancers, item.key)
          if share.zero?
            ""
          else
            Shared::Drawing.tag(
              :rect,
              x: x + 6,
              y: TALL + 5,
              width: [(width - 12) * share, 1].max,
              height: 3,
              rx: 1.5,
              class: "bar-have"
            )
          end
        end
      end
    end
  end
end
