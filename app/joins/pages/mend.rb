# frozen_string_literal: true

module App
  module Joins
    module Pages
      # A mend before it is done: which eights change, which joins stand otherwise afterwards, who has the old counts.
      class Mend < Show
        Before = Struct.new(:where, :before, :after, keyword_init: true)

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

        def changes = effect.changes.map { |found| change(found) }

        # [[name, before, after], …] of joins whose verdict differs afterwards.
        def joins_after
          review = Core::Joins::Review.new(after, vocabulary:, metres: stage.metres)
          held_now = snapshot.review.joins.map(&:verdict)
          review.joins.zip(held_now)
            .reject { |now, old| now.verdict == old }
            .map { |now, old| [now.join.name, old, now.verdict] }
        end

        def counts_after = effect.counts

        # How many dancers were shown what changes.
        def taught_old
          key = items.of_link(mend.link).key
          items.dancers(items.of_link(mend.link)).count { |who| progress.rung(who, key).positive? }
        end

        private

        def effect = @effect ||= Core::Joins::MendEffect.new(work, after)

        def change(found)
          before, after = %i[before after].map { |which| value_words(found, which) }
          Before.new(where: where(found), before:, after:)
        end

        def where(found)
          case found.kind
          when :added then I18n.t("mends.before", name: found.name)
          when :eight then I18n.t("mends.eight", name: found.name, eight: found.eight, index: found.index)
          when :hold then I18n.t("mends.hold", group: group_names[found.group])
          else I18n.t("mends.#{found.kind}", name: found.name)
          end
        end

        def value_words(found, which)
          value = found.public_send(which)
          case found.kind
          when :added then value&.text.to_s
          when :eight then row_words(value)
          when :side then I18n.t(value.mirrored ? "mends.other_side" : "mends.as_taught")
          when :hold then value.to_s
          else edge_words(value)
          end
        end

        def row_words(row)
          name = "“#{row.name}”" unless row.name == ""
          counts = "#{row.counts} counts" unless row.counts == 8
          [row.text, name, counts].compact.join(" · ")
        end

        def edge_words(stated)
          said = stated.map { |name, value| edge_word(name, value) }
          said.empty? ? I18n.t("joins.not_stated") : said.join(", ")
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
      end
    end
  end
end
