# frozen_string_literal: true

module App
  module Shared
    # The piece's chain across the top: how each join stands there, what is learned, what runs with whom, what can be
    # picked. SpinePicture draws it.
    class Spine
      def initialize(page) = @page = page

      def empty? = links.empty?
      def width = picture.width
      def height = picture.height
      def svg = memo([:spine, @page.at, present_key]) { picture.svg }

      # Joins to pick: [label, x, path].
      def join_picks
        joins.map { |join| [join_label(join), picture.seam_at(join) - 11, @page.path("/joins/#{join.index}")] }
      end

      # Places to pick: [label, x, width, value of `at`, picked?].
      def picks
        memo([:spine_picks, @page.at]) do
          links.map do |link|
            place = picture.place(link)
            [label(link), place.x, place.width, link.index.to_s, picked?(link)]
          end
        end
      end

      def links = @page.order.links
      def joins = @page.snapshot.joins
      def picked?(link) = @page.at == link.index.to_s
      def tape(link) = @page.tape(link.section)
      def title = @page.piece.title
      def total_counts = @page.order.total_counts
      def letter(link) = letters[link.section.id]

      # How a join is drawn: :clash and :question as long as it is not agreed, :joined, :apart.
      def state(join) = memo([:join_state, join.index]) { standing(join).on_the_spine }

      def changed?(join) = standing(join).state == :changed

      # The longest chain that runs with whom there is, or nil.
      def chain = memo([:chain, @page.piece.setting("ready_share"), present_key]) { longest }

      # "from Overwinter to Waggle Line runs when the whole cast is here · 2:08"; nil where nothing runs.
      def runs_text
        return unless chain

        run = links[(chain.from - 1)..(chain.to - 1)]
        key = chain.length == 1 ? "runs_one" : "runs"
        I18n.t("spine.#{key}", from: run.first.name, to: run.last.name, whom: with_whom,
                               length: Formats::Times.length(run.sum(&:seconds)))
      end

      # Share of those who dance a link that have learned it, 0 to 1.
      def learned(link)
        item = @page.items.of_link(link.index)
        @page.snapshot.memo([:learned, item.key], of: item.key) do
          dancers = @page.items.dancers(item)
          dancers.empty? ? 0.0 : @page.progress.share(dancers, item.key)
        end
      end

      # What sets a repeat apart, in a word or two; empty for the first time.
      def echo(link)
        case link.echo
        when :altered then only(link) || I18n.t("echo.altered", eights: link.link.changes.touched.join("·"))
        when :first then ""
        else I18n.t("echo.#{link.echo}")
        end
      end

      # "only eights 5–8", where a stretch of it alone is danced.
      def only(link)
        link.link.only && I18n.t("echo.only", eights: link.link.only.uniq.join("–"))
      end

      # "Drift is written as far as eight 3", or nil.
      def unwritten(link) = link.section.known ? nil : Written.line(link.section, @page.work)

      def label(link)
        counts = I18n.t("spine.counts", from: link.start_count, to: link.end_count)
        bits = ["#{link.index}. #{link.name}", echo(link), counts].reject(&:empty?)
        [*bits, I18n.t("spine.have", percent: (learned(link) * 100).round), unwritten(link)].compact.join(", ")
      end

      private

      def memo(key, &) = @page.snapshot.memo(key, &)
      def picture = @picture ||= SpinePicture.new(self)
      def standing(join) = @page.standings[join.index - 1]
      def letters = @letters ||= @page.piece.sections.to_h { |section| [section.id, section.letter] }
      def join_label(join) = "#{join.name}: #{I18n.t("joins.verdicts.#{standing(join).state}")}"

      # Those marked present today, where today has a register; nil where it has none.
      def present = @page.present
      def present_key = present&.sort
      def everybody = @page.items.everybody

      def with_whom
        return I18n.t("spine.whole_cast") unless present

        I18n.t("spine.here", count: (everybody & present).size)
      end

      def longest
        Core::Learning::LongestChains.new(
          links: links.size,
          present: present ? everybody & present : everybody,
          items: @page.items,
          progress: @page.progress,
          share: @page.piece.setting("ready_share")
        ).all.first
      end
    end
  end
end
