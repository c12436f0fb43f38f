# frozen_string_literal: true

module Core
  module Planning
    # One piece's share of a plan that was found for several (OneSeason).
    class Share
      # Entries of Problem#unavailable for placements of a plan: its people at work, its room taken.
      def self.taken(plan, placements)
        clocks = plan.problem.windows.to_h { |window| [window.id, window] }
        tasks = plan.problem.tasks.to_h { |task| [task.id, task] }
        placements.flat_map do |each|
          window = clocks.fetch(each.window)
          hours = { date: window.date, from: window.start + each.start, to: window.start + each.end }
          people = plan.party(each)&.then { |party| party.there | Array(party.lead) } || tasks.fetch(each.task).people
          [*people.map { |who| { who:, **hours, work: true } }, { who: each.room, **hours }]
        end
      end

      # season: OneSeason; part: OneSeason::Part; whole: the season's Plan; more: entries of Problem#unavailable beside
      # what the whole plan holds.
      def initialize(season, part, whole, more: [])
        @more = more
        @season = season
        @part = part
        @whole = whole
      end

      # The piece's Plan, as if it had been planned around the others.
      def plan
        Plan.new(
          problem, placements.map(&:last),
          unplaced:, parties:, own:, bookends:, missing_bookends:, **why, seed: @whole.seed,
          iterations: @whole.iterations, stopped_by: @whole.stopped_by,
          rank: [unplaced.values.sum, 0, @whole.rank.last]
        )
      end

      private

      def mine?(task) = @season.of(task).first == @part
      def id(task) = @season.of(task).last

      # [[as in the whole, as in the share], …].
      def placements
        @placements ||= @whole.placements.select { |each| mine?(each.task) }.map do |each|
          [each, each.with(task: id(each.task), start: start(each))]
        end
      end

      def start(block) = block.start + @season.later(@part, block.window)

      def parties = placements.to_h { |whole, own| [own, @whole.party(whole)] }.compact

      def unplaced
        @whole.unplaced.select { |task, _| mine?(task) }.transform_keys { |task| id(task) }
      end

      def why
        return {} if unplaced.empty?

        { reasons: Shortfall.new(problem, unplaced).reasons, proven_impossible: @whole.proven_impossible? }
      end

      # Catching up of what is its own.
      def own
        @whole.own.select { |each| each.of && mine?(each.of) }.map { |each| changed(each, of: id(each.of)) }
      end

      def bookends
        mine = @whole.bookends.select { |each| mine?(each.tasks.first) }
        mine.map { |each| changed(each, tasks: each.tasks.map { |task| id(task) }) }
      end

      # A block by the piece's own clock.
      def changed(block, **more) = block.class.new(**block.to_h, **more, start: start(block))

      # By the indexes of the piece's own windows.
      def missing_bookends
        mine = @whole.missing_bookends.select { |wish| mine?(wish.tasks.first.id) }
        mine.map do |wish|
          name = @whole.problem.windows[wish.window].id
          wish.class.new(**wish.to_h, window: @part.problem.windows.index { |window| window.id == name })
        end
      end

      # The piece's problem, with the others' blocks as what people and rooms are elsewhere for.
      def problem
        @problem ||= @part.problem.with(unavailable: @part.problem.unavailable + others + @more)
      end

      def others
        around = @whole.bookends.reject { |each| mine?(each.tasks.first) } +
          @whole.own.select { |each| each.of && !mine?(each.of) }
        Share.taken(@whole, @whole.placements.reject { |each| mine?(each.task) }) +
          around.flat_map { |block| taken(block) }
      end

      def taken(block)
        window = @whole.problem.windows.find { |each| each.id == block.window }
        hours = { date: window.date, from: window.start + block.start, to: window.start + block.end }
        block.people.map { |who| { who:, **hours, work: true } } + [{ who: block.room, **hours }]
      end
    end
  end
end
