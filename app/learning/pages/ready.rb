# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Ready to run? What blocks each kind of run, who, and what would clear it soonest; what runs with those who are
      # here, and what would make it longer.
      class Ready < Panel
        KINDS = Core::Learning::Readiness::KINDS
        Row = Struct.new(:block, :name, :path, :lacking, :slot, keyword_init: true)

        def initialize(kind: nil, **rest)
          super(**rest)
          @kind = kind if KINDS.include?(kind)
        end

        def panel = :ready
        def overrule? = director?

        # The kind that is asked for, or the first that is not ready.
        def kind = @kind || KINDS.find { |each| blocks(each).any? } || KINDS.last

        # [[kind, label, how many blocks, path, shown?], …]
        def kinds
          KINDS.map do |each|
            tail = path("/who-has-it/ready?kind=#{each}")
            [each, I18n.t("ready.kinds.#{each}"), blocks(each).size, tail, each == kind]
          end
        end

        # "ready for a stumble-through; two things block running it marked"
        def summary_words
          ready = KINDS.take_while { |each| blocks(each).empty? }.last
          return I18n.t("ready.up_to", kind: I18n.t("ready.kinds.#{ready}").downcase) if ready

          I18n.t(unticked? ? "ready.unticked" : "ready.not_yet")
        end

        # Whether what keeps it from a stumble-through was danced in two runs, and nobody ticked it.
        def unticked?
          open = blocks(KINDS.first).select { |block| block.have.zero? }
          twice = Reading::RunTwice.new(piece, order, today)
          open.any? && open.count { |block| twice.danced?(block.item) } * 2 > open.size
        end

        def rows = @rows ||= blocks(kind).map { |block| row(block) }

        def standing(block)
          at = I18n.t("ready.at.#{block.rung}")
          I18n.t("ready.have", have: block.have, of: block.of, rung: at)
        end

        def more(block) = I18n.t("ready.more", count: block.more)

        # The newest time a director overruled this kind: Records::Overruling or nil.
        def overruled = @overruled ||= piece.overrulings.where(kind:).order(:id).last
        def overruled_on = Shared::Dates.day(overruled.day)

        # [[words of a chain, [words of what would make it longer]], …]
        def runs
          longest.all.first(3).map { |chain| [chain_words(chain), longest.longer(chain).map { |more| longer(more) }] }
        end

        def whom
          present ? I18n.t("spine.here", count: here.size) : I18n.t("spine.whole_cast")
        end

        private

        def blocks(kind) = snapshot.memo([:blocks, kind]) { readiness(kind).blocks }
        def readiness(kind) = Core::Learning::Readiness.new(items, progress, kind:)
        def soonest = @soonest ||= Core::Learning::Soonest.new(slots_ahead)

        def row(block)
          Row.new(
            block:,
            name: item_name(block.item),
            path: item_path(block.item),
            lacking: names(block.lacking),
            slot: soonest.slot(block)
          )
        end

        def longest
          @longest ||= Core::Learning::LongestChains.new(
            links: order.links.size, present: here, items:, progress:, share: piece.setting("ready_share")
          )
        end

        def chain_words(chain)
          run = order.links[(chain.from - 1)..(chain.to - 1)]
          seconds = Formats::Times.length(run.sum(&:seconds))
          return I18n.t("ready.one", name: run.first.name, length: seconds) if run.one?

          I18n.t("ready.chain", from: run.first.name, to: run.last.name, count: run.size, length: seconds)
        end

        def longer(more)
          name = order.links[more.link - 1].name
          return I18n.t("ready.longer_all", name:, who: names(more.lacking)) if more.more >= more.lacking.size

          I18n.t("ready.longer", name:, count: more.more, who: names(more.lacking))
        end
      end
    end
  end
end
