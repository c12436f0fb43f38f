# frozen_string_literal: true

module Formats
  module PlanProblem
    # Reads what plan-problem-2 adds: everything of a studio in one problem. Hours of age bands become hours away and
    # limits; whoever comes late warms up before they work, whoever leaves early cools down before they go.
    class StudioReader < Reader
      KINDS = %w[rehearsal technical dress photo show].freeze
      MARKS = %w[lift jump full_out].freeze
      # Minutes of warming up again.
      RE_WARM = 5
      private_constant :KINDS, :MARKS, :RE_WARM

      private

      def everything
        @refused = {}
        @sites = {}
        @bands = bands
        own = own_figures
        people = dancers
        read = super
        read = read.merge(own, minors: minors(people), refused: @refused, sites: @sites, pinned: blocks("fixed"))
        read.merge(cared_for(read, people), price_list: Planning::PriceList.of(people, **told_of_people))
      end

      def own_figures
        figure = ->(name, default) { @fields.integer(name, max: 240, default:) }
        {
          warm_up: figure.call("warm_up", 0), cool_down: figure.call("cool_down", 0),
          re_warm_after: figure.call("re_warm_after", nil), full_out_a_day: figure.call("full_out_a_day", nil),
          night: @fields.integer("night", max: 1440, default: 0),
          day_off: @fields.flag("day_off"), between_sites: figure.call("between_sites", 0),
          pieces: @fields.list("pieces") { |one| { id: one.text("id"), order: one.integer("order", default: 1) } },
          aims: @fields.list("aims") { |aim| { task: aim.text("task"), date: day(aim, "date") || NO_DAY } }
        }
      end

      # Whom prices read otherwise.
      def told_of_people
        { guests: @fields.texts("guests"), home: @fields.texts("at_home"),
          siblings: @fields.list("siblings") { |pair| pair.texts("who") } }
      end

      def bands
        @fields.list("bands") do |band|
          [band.text("band"), { home_by: clock(band, "home_by", default: nil),
                                minutes_a_day: band.integer("minutes_a_day", default: nil),
                                on_end: band.integer("on_end", default: nil) }]
        end.to_h
      end

      # {id => band or nil}.
      def dancers
        list = @fields.raw("dancers")
        list.to_h { |each| each.is_a?(Hash) ? [each["id"].to_s, each["band"]] : [each.to_s, nil] }
      end

      def minors(people) = people.select { |_, band| band && band != Planning::AgeBands::ADULT }.keys

      def window(fields)
        super.with(kind: fields.choice("kind", KINDS, default: "rehearsal"), no_new: fields.flag("no_new"))
      end

      def room(fields)
        super.tap do |id, _|
          @sites[id] = fields.text("site", default: nil)
          @refused[id] = fields.texts("not")
        end
      end

      def task_of(task)
        must, may = %w[must may].map { |name| task.texts(name) }
        plain = super
        plain.with(
          dancers: plain.dancers | must | may, may: may - must, piece: task.text("piece", default: nil),
          enough: task.integer("enough", default: 0), eights: plain.eights.zero? ? fresh(task) : plain.eights,
          groups: task.list("groups") { |one| { people: one.texts("people"), enough: one.integer("enough") } },
          leads: task.list("leads") { |one| { people: one.texts("people"), price: one.number("price", default: 0) } },
          full_out: task.flag("full_out"), cast: task.text("cast", default: nil), needs: marks(task)
        )
      end

      # Blocks of an answer that stand for no task of the file (warm-ups and the like) are the plan's own.
      def blocks(name)
        @fields.list(name) do |block|
          block.skip("kind", "who", "lead", "missing", "catches_up")
          block_of(block) if block.given?("task")
        end.compact
      end

      def fresh(task) = task.number("new", min: 0, max: 10_000, default: 0)
      def marks(task) = %w[lift jump].select { |name| task.flag(name) } | (task.texts("needs") & MARKS)

      # What bands and warming up come to.
      def cared_for(read, people)
        grid = read[:grid]
        up, down = [read[:warm_up], read[:cool_down]].map { |minutes| minutes.fdiv(grid).ceil * grid }
        away = read[:unavailable].map { |entry| people.key?(entry[:who]) ? around(entry, up, down) : entry }
        {
          unavailable: away + home(read[:windows], people, down), limits: limits_with(read[:limits], people),
          on_end: people.to_h { |id, band| [id, @bands.dig(band, :on_end)] }.compact,
          frame_minutes: [up + down, read[:frame_minutes]].max,
          rewarm: read[:rewarm] || (read[:re_warm_after] && [read[:re_warm_after], RE_WARM])
        }
      end

      def around(entry, warm_up, cool_down)
        entry.merge(from: entry[:from] && [entry[:from] - cool_down, 0].max, to: entry[:to] && (entry[:to] + warm_up))
      end

      def home(windows, people, cool_down)
        people.flat_map do |who, band|
          by = @bands.dig(band, :home_by) or next []
          dates = windows.select { |window| by < window.finish + cool_down }.map(&:date).uniq
          dates.map { |date| { who:, date:, from: [by - cool_down, 0].max, to: 1440, late: true } }
        end
      end

      def limits_with(given, people)
        bands = people.filter_map do |who, band|
          most = @bands.dig(band, :minutes_a_day)
          { who:, minutes_per_day: most } if most
        end
        (given + bands).group_by { |limit| limit[:who] }.values
          .map { |same| same.min_by { |each| each[:minutes_per_day] } }
      end

      def check(read)
        super
        ids = read[:tasks].map(&:id)
        strangers(read[:aims].map { |aim| aim[:task] } - ids, "aims")
        strangers(read[:pinned].map(&:task) - ids, "fixed")
        strangers(read[:tasks].filter_map(&:piece) - read[:pieces].map { |piece| piece[:id] }, "pieces") if piece?(read)
      end

      def piece?(read) = read[:pieces].any?

      def check_task(task, index, read)
        super
        people = read[:dancers] | read[:choreographers]
        strangers(task.leads.flat_map { |lead| lead[:people] } - people, "tasks[#{index}].leads")
        strangers(task.groups.flat_map { |group| group[:people] } - task.dancers, "tasks[#{index}].groups")
        return if task.enough <= task.may.size

        @fields.fault("tasks[#{index}].enough", "asks for #{task.enough} of #{task.may.size} who may come")
      end
    end
  end
end
