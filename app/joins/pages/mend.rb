# frozen_string_literal: true

module App
  module Joins
    module Pages
      # A mend before it is done: which eights change, which joins stand otherwise afterwards, who has the old counts.
      class Mend < Show
        Change = Struct.new(:where, :before, :after, keyword_init: true)

        def initialize(state:, number:, here_only: false, **rest)
          super(**rest)
          @state = state.to_s
          @number = number
          @here_only = here_only
        end

        attr_reader :state, :number

        def found? = super && !mend.nil?
        def finding = @finding ||= held.findings.find { |each| each.state.to_s == @state }
        def mend = finding && finding.mends[@number]
        def mend_path(**more) = path("/joins/#{index}/mend?#{Rack::Utils.build_query({ state:, n: number, **more })}")
        def text = words.mend(mend)
        def here_only? = @here_only && mend.here_only?
        def repeated? = order.links.count { |placed| placed.section.id == order.links[mend.link - 1].section.id } > 1
        def after = @after ||= mend.apply(work, here_only: here_only?)

        def changes
          danced_changes + sides + stated + holds
        end

        # [[name, before, after], …] of joins whose verdict differs afterwards.
        def joins_after
          review = Core::Joins::Review.new(after, vocabulary:, metres: stage.metres)
          held_now = snapshot.review.joins.map(&:verdict)
          review.joins.zip(held_now)
            .reject { |now, old| now.verdict == old }
            .map { |now, old| [now.join.name, old, now.verdict] }
        end

        def counts_after = after.order.total_counts - work.order.total_counts

        # How many dancers were shown what changes.
        def taught_old
          key = items.of_link(mend.link).key
          items.dancers(items.of_link(mend.link)).count { |who| progress.rung(who, key).positive? }
        end

        private

        def danced_changes
          order.links.zip(after.links).flat_map do |placed, link|
            old = placed.link.danced
            new = link.danced
            shift = new.size - old.size
            added =
              new.first([shift, 0].max)
                .map do |danced|
                  Change.new(where: I18n.t("mends.before", name: link.name), before: "", after: danced.row.text)
                end
            pairs = new.drop([shift, 0].max).zip(old).reject { |now, was| now.row == was&.row }
            added +
              pairs.map do |now, was|
                Change.new(
                  where: I18n.t("mends.eight", name: link.name, eight: old.index(was).to_i + 1, index: placed.index),
                  before: shown(was.row),
                  after: shown(now.row)
                )
              end
          end.uniq { |change| [change.before, change.after, change.where.sub(/\d+\z/, "")] }
        end

        def shown(row)
          [
            row.text,
            ("“#{row.name}”" unless row.name == ""),
            ("#{row.counts} counts" unless row.counts == 8)
          ].compact.join(" · ")
        end

        def sides
          order.links.zip(after.links)
            .reject { |placed, link| placed.link.mirrored == link.mirrored }
            .map do |placed, link|
              Change.new(where: I18n.t("mends.side", name: link.name), before: side(placed.link), after: side(link))
            end
        end

        def side(link) = I18n.t(link.mirrored ? "mends.other_side" : "mends.as_taught")

        def stated
          pairs =
            work.sections.zip(after.sections)
              .flat_map do |old, new|
                %i[entry exit].filter_map do |edge|
                  [old, new, edge] unless old.public_send(edge) == new.public_send(edge)
                end
              end
          pairs.map do |old, new, edge|
            Change.new(
              where: I18n.t("mends.#{edge}", name: old.name),
              before: edge_words(old.public_send(edge)),
              after: edge_words(new.public_send(edge))
            )
          end
        end

        def edge_words(stated)
          words = stated.map { |name, value| edge_word(name, value) }
          words.empty? ? I18n.t("joins.not_stated") : words.join(", ")
        end

        def edge_word(name, value)
          case name
          when :facing then I18n.t("facing", to: I18n.t("facings")[value - 1])
          when :weight then I18n.t("weights.#{value}")
          when :level then I18n.t("levels.#{value}")
          when :hands then value.empty? ? I18n.t("joins.empty_hands") : I18n.t("joins.in_hand", what: value)
          else value.to_s
          end
        end

        def holds
          work.sections.zip(after.sections)
            .flat_map { |old, new| old.parts.zip(new.parts) }
            .reject { |old, new| old == new }
            .map do |old, new|
              Change.new(
                where: I18n.t("mends.hold", group: group_names[old.group]),
                before: old.hold_after.to_s,
                after: new.hold_after.to_s
              )
            end
        end
      end
    end
  end
end
