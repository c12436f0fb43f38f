# frozen_string_literal: true

module App
  module Home
    module Pages
      # What in a piece waits for somebody: each with words and where to mend it.
      class Decisions
        def initialize(page)
          @page = page
          @piece = page.piece
        end

        # [[text, path], …], the most pressing first.
        def all = [*structure, *conflicts, *joins, *nobody, *music, *plan, *lines, *gaps, *unplaced, *asked]

        private

        # What dancers ask and nobody has answered.
        def asked
          count = @piece.notes.open.where.not(asker_id: nil).count
          count.zero? ? [] : [[I18n.t("decisions.asked", count:), @page.path("/notes")]]
        end

        def latest_plan = @page.season_snapshot.latest_plan(@piece)

        def structure
          lines = @piece.setting("waiting_lines").size
          return [[I18n.t("decisions.waiting_lines", count: lines), @page.path("/structure")]] if lines.positive?
          return [[I18n.t("decisions.no_links"), @page.path("/structure")]] if @page.order.links.empty?

          @page.snapshot.cast.empty? ? [[I18n.t("decisions.no_cast"), @page.path("/groups")]] : []
        end

        def nobody
          @page.work.sections
            .select { |section| section.choreographer.nil? }
            .map { |section| [I18n.t("decisions.nobody", name: section.name), @page.path("/sections/#{section.id}")] }
        end

        # Joins that do not fit, and that changed since they were agreed; at most two of a kind. What joins ask goes to
        # whoever wrote the line.
        def joins = @page.snapshot.memo(:join_decisions) { find_joins }

        def find_joins
          %i[clash changed].flat_map do |state|
            @page.standings
              .select { |standing| standing.state == state }
              .uniq { |standing| standing.join.key }
              .first(2)
              .map { |standing| [join(standing, state), @page.path("/joins/#{standing.index}")] }
          end
        end

        def join(standing, state)
          worst = standing.open.find { |finding| finding.verdict == state }
          why =
            worst &&
            Shared::JoinWording
              .new(standing.join, @page.work, groups: @page.work.groups.to_h)
              .then { |words| words.state(worst).downcase }
          I18n.t("decisions.join_#{state}", name: standing.join.name, why:)
        end

        # Groups that do not meet, dancers asked for two things, somebody unaccounted for.
        def lines
          @page.snapshot
            .line_findings
            .group_by(&:link)
            .first(2)
            .map do |index, found|
              [
                I18n.t("decisions.lines", name: @page.order.links[index - 1].name, count: found.size),
                @page.path("/spacing?at=#{index}&show=lines")
              ]
            end
        end

        def music
          Core::Piece::MusicFit.new(@page.work).findings.first(2)
            .map { |finding| [Shared::Wording.music(finding), @page.path("/music")] }
        end

        def plan
          return [] if @page.order.links.empty? || @page.snapshot.cast.empty?

          plan = latest_plan or return [[I18n.t("decisions.no_plan"), @page.path("/plan")]]
          short = plan.result.fetch("unplaced", []).sum { |task| task["minutes"] }
          [
            (short.positive? ? I18n.t("decisions.short", minutes: short) : nil),
            (plan.published? ? nil : I18n.t("decisions.draft"))
          ].compact.map do |text|
            [text, @page.path("/plan")]
          end
        end

        # What happened that the plan does not know of.
        def conflicts
          found = latest_plan ? Reading::PlanConflicts.of(latest_plan, @piece, @page.now) : []
          if found.any?
            [
              [
                I18n.t("decisions.plan_conflicts", count: found.size, what: found.first, more: found.size - 1),
                @page.path("/plan")
              ]
            ]
          else
            []
          end
        end

        # Joins nobody was shown although both their links are being danced.
        def gaps
          @page.snapshot
            .memo(:gaps) { Core::Learning::Coverage.new(@page.items, @page.progress).gaps }
            .select { |line| line.item.kind == :join && danced?(line.item) }
            .first(3)
            .map do |line|
              [
                I18n.t("decisions.join_gap", name: line.item.name),
                @page.path("/who-has-it?at=#{line.item.links.first}j")
              ]
            end
        end

        def danced?(join)
          join.links.any? do |index|
            [index, index + 1].all? do |i|
              item = @page.items.of_link(i)
              item && @page.items.dancers(item).any? { |who| @page.progress.at_least?(who, item.key, "tempo") }
            end
          end
        end

        def unplaced
          @page.work.unplaced.map { |section| [I18n.t("decisions.unplaced", name: section.name), @page.path("#order")] }
        end
      end
    end
  end
end
