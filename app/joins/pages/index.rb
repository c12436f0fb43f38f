# frozen_string_literal: true

module App
  module Joins
    module Pages
      # All joins of a piece in order, with how each stands, and the opening and the ending beside them.
      class Index < Reading::PiecePage
        # ends: {which => its form as it was sent}, checking: the same of what joins are checked for, where something is
        # wrong with it.
        def initialize(errors: {}, typed: nil, ends: {}, checking: nil, **rest)
          super(**rest)
          @errors = errors
          @typed = typed
          @ends = ends
          @checking = checking
        end

        attr_reader :errors

        def screen = :joins
        def title = "#{I18n.t('ways.joins')} · #{piece.title}"
        def wording(standing) = Shared::JoinWording.new(standing.join, work, groups: group_names)
        def counts = @counts ||= standings.map(&:state).tally

        # "1 does not fit · 2 ask something"
        def summary = [open_summary, unwritten_summary].compact.join(" · ")

        def unwritten_summary
          I18n.t("joins.summary.not_written", count: counts[:not_written]) if counts[:not_written]
        end

        def open_summary
          open = %i[clash question changed caution].select { |state| counts[state] }
          return I18n.t("joins.nothing_open") if open.empty?

          open.map { |state| I18n.t("joins.summary.#{state}", count: counts[state]) }.join(" · ")
        end

        def checking = @checking ||= CheckingForm.of(piece)
        def checking_conflicts = CheckingForm.conflicts(checking)

        # "Free foot, Facing, Level"
        def checked_for
          states = CheckingForm::STATES.select { |state| checking.value(state) == "1" }
          return I18n.t("joins.checking.nothing") if states.empty?

          states.map { |state| I18n.t("joins.states.#{state}") }.join(", ")
        end

        def group_names = @group_names ||= piece.groups.to_h { |group| [group.id, group.name] }
        def picked = at&.end_with?("j") ? at.to_i : nil

        # One line for a join: what is most pressing, or what was agreed.
        def line(standing)
          if standing.changed.any?
            return I18n.t(
              "joins.changed_line",
              edges: Shared::Lists.all(standing.changed.map { |edge| I18n.t("joins.edges.#{edge}") })
            )
          end
          return agreed_line(standing.agreement) if standing.agreed?

          worst = standing.open.max_by { |finding| Core::Joins::Finding::VERDICTS.index(finding.verdict) }
          return wording(standing).sentence(worst) if worst

          own = standing.held.groups.to_a.max_by { |each| Core::Joins::Finding::VERDICTS.index(each.verdict) }
          return group_line(own) if own&.open&.any?

          case standing.state
          when :not_written then not_written_line(standing.join)
          when :joined, :apart then I18n.t("joins.as_rehearsed")
          else fits_line(standing)
          end
        end

        # "Nothing to compare yet: Drift is written as far as eight 3."
        def not_written_line(join)
          I18n.t("joins.not_written_line", what: Shared::Written.join(join, work).presence || I18n.t("written.an_edge"))
        end

        # How a join is for a group that does not dance there what the others do.
        def group_line(own)
          who = group_names.fetch(own.group, own.group.to_s)
          return I18n.t("joins.group.fits", who:) if own.open.empty?

          worst = own.open.max_by { |finding| Core::Joins::Finding::VERDICTS.index(finding.verdict) }
          words = Shared::JoinWording.new(own.join, work, groups: group_names)
          I18n.t("joins.group.open", who:, what: words.sentence(worst))
        end

        # "Both sides fit", and what that hangs on.
        def fits_line(standing)
          hangs = standing.held.findings.any? { |finding| finding.facts[:if_words] }
          I18n.t(hangs ? "joins.fits_if_words" : "joins.fits_line")
        end

        def agreed_line(row)
          I18n.t(
            row.words.empty? ? "joins.agreed_line" : "joins.agreed_words",
            day: Shared::Dates.day(row.day),
            by: row.by_name,
            words: row.words
          )
        end

        # [[key, name, stated, findings], …] of the opening and the ending.
        def ends
          return [] if order.links.empty?

          found =
            Core::Joins::Ends.new(
              work,
              opening: stated("opening"),
              ending: stated("ending"),
              held: piece.setting("ending")["held"] || 4,
              vocabulary:
            )
          [["opening", order.links.first, found.opening], ["ending", order.links.last, found.ending]]
        end

        def end_form(which) = @ends[which] ||= EndsForm.of(piece, which)
        def end_value(which, name) = end_form(which).value(name)
        def end_conflicts(which) = EndsForm.conflicts(end_form(which))

        def end_findings(which, placed, findings)
          still = Struct.new(:name).new(I18n.t("learning.#{which}"))
          pair = which == "opening" ? [still, placed] : [placed, still]
          join = Struct.new(:leaving, :entering).new(*pair)
          findings.reject(&:quiet?).map { |finding| [finding, Shared::JoinWording.new(join, work).sentence(finding)] }
        end

        private

        def stated(which)
          piece.setting(which).slice("weight", "facing", "level", "place")
            .to_h { |name, value| [name.to_sym, %w[weight level].include?(name) ? value.to_sym : value] }
        end
      end
    end
  end
end
