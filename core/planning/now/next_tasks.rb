# frozen_string_literal: true

module Core
  module Planning
    # What could be done in the next half hour: lessons, joins, drills, reviews and catch-ups, each with the cells as
    # they would be after it.
    class NextTasks
      # climbed: {person => Cell} after it (of a run {item key => {person => Cell}}); refreshed: how many of them had it
      # fading or rusty.
      Task = Struct.new(:kind, :item, :people, :minutes, :eights, :climbed, :refreshed, keyword_init: true)
      SLOW = "slow"
      # A drill takes people up to here; what comes after it needs runs.
      DRILLED = "music"
      # From this share of those who dance it a catch-up is a lesson for all.
      FEW = 0.4
      ENOUGH = NextBest::ENOUGH
      LEAST = NextBest::LEAST

      attr_reader :items, :progress

      # work: Piece::Work; teachers: ids of those who teach and are there, or nil for all; reached: {section id =>
      # eights taught so far}; estimate: Estimate; today: a Date; capacity: of the room, or nil.
      def initialize(work, items:, progress:, estimate:, today:, teachers: nil, reached: {}, capacity: nil)
        @work = work
        @items = items
        @progress = progress
        @estimate = estimate
        @today = today
        @teachers = teachers
        @reached = reached
        @capacity = capacity
        @links = work.order.links
      end

      # [Task] that so many minutes and these people allow.
      def fitting(minutes, people)
        @items.all.flat_map { |item| of(item, minutes, people & @items.dancers(item)) }.compact
          .select { |task| @capacity.nil? || task.people.size <= @capacity }
      end

      # A run of some links by those who are there and dance in them: who has a link at slow counts has it a rung
      # further then, up to dancing it to the music.
      def run(links, people)
        placed = links.map { |index| @links[index - 1] }
        here = people & links.flat_map { |index| @items.in_link(index) }
        items = links.map { |index| @items.of_link(index) }.uniq(&:key)
        climbed = items.to_h { |item| [item.key, a_rung_on(item, here)] }.reject { |_, cells| cells.empty? }
        minutes = @estimate.chain(placed.sum(&:seconds), people: here.size, passes: 1, notes: 5).minutes
        Task.new(kind: "run", item: items.first, people: here, minutes:, eights: nil, climbed:, refreshed: 0)
      end

      private

      def a_rung_on(item, here)
        dancing = here & @items.dancers(item)
        low = dancing.select { |who| @progress.rung(who, item.key).between?(index(SLOW), index(DRILLED) - 1) }
        climb(item, low) { |rung| rung + 1 }
      end

      def of(item, minutes, here)
        return [] if here.empty? || %i[opening ending].include?(item.kind)
        return [join(item, minutes, here)] if item.kind == :join

        [lesson(item, minutes, here), drill(item, minutes, here), catch_up(item, minutes, here)]
      end

      # The next eights of a section, as many as fit.
      def lesson(item, minutes, here)
        return unless item.kind == :section && enough?(item, here)

        section = placed(item).section
        reached = @reached.fetch(section.id, 0)
        left = section.rows.size - reached
        return if section.known || left <= 0 || !taught_here?(section) || shown?(item, here)

        eights = [(minutes / eight(section, here)).floor, left].min
        return unless eights.positive?

        target = eights == left ? index(SLOW) : 1
        climbed = climb(item, here) { |rung| [rung, target].max }
        task("learn", item, here, (eights * eight(section, here)).ceil, climbed, eights:)
      end

      # Whether nearly all who are here have seen all of it: then nothing new is taught.
      def shown?(item, here) = @progress.share(here, item.key, at: SLOW) > 0.8

      def join(item, minutes, here)
        return unless enough?(item, here) && joinable?(item)
        return if @progress.share(here, item.key, at: DRILLED) >= 0.9

        long = @estimate.join(bpm: bpm(item), people: here.size).minutes
        return if long > minutes

        task("join", item, here, long, climb(item, here) { |rung| [rung + 1, index(SLOW)].max })
      end

      # Both sides have been danced by most.
      def joinable?(item)
        index = item.links.first
        [index, index + 1].all? do |link|
          side = @items.of_link(link)
          @progress.share(@items.dancers(side), side.key, at: SLOW) >= ENOUGH
        end
      end

      # Danced again twice: a rung up for those who are near, fresh for all.
      def drill(item, minutes, here)
        dancing = here.select { |person| @progress.at_least?(person, item.key, SLOW) }
        return if dancing.size < ENOUGH * here.size

        long = @estimate.chain(placed(item).seconds, people: here.size).minutes
        return if long > minutes

        climbed = climb(item, dancing) { |rung| rung < index(DRILLED) ? rung + 1 : rung }
        kind = rusty(item, dancing) * 2 > dancing.size ? "review" : "drill"
        task(kind, item, dancing, long, climbed)
      end

      # Those few who have not seen what most have.
      def catch_up(item, minutes, here)
        behind = here.reject { |person| @progress.at_least?(person, item.key, SLOW) }
        all = @items.dancers(item)
        return if behind.empty? || behind.size > FEW * all.size || @progress.share(all, item.key, at: SLOW) < ENOUGH

        long = [catching_up(item), LEAST].max
        task("catch_up", item, behind, long, climb(item, behind) { index(SLOW) }) if long <= minutes
      end

      # A pass of it for a few takes a fraction of teaching it to all (Quorum::CATCHING_UP).
      def catching_up(item)
        (@estimate.learn(placed(item).section, left: Quorum::CATCHING_UP, bpm: bpm(item)).minutes / 5) * 5
      end

      def task(kind, item, people, minutes, climbed, eights: nil)
        Task.new(kind:, item:, people:, minutes:, eights:, climbed:, refreshed: rusty(item, people))
      end

      def climb(item, people)
        people.to_h do |person|
          cell = @progress.cell(person, item.key)
          [person, cell.with(rung: yield(cell.rung), last_danced_on: @today)]
        end
      end

      def rusty(item, people)
        people.count { |person| %i[fading rusty].include?(@progress.cell(person, item.key).freshness(@today)) }
      end

      # Minutes of one new eight.
      def eight(section, here)
        @estimate.learn(section, people: here.size).minutes.fdiv([section.rows.size, 1].max)
      end

      def taught_here?(section)
        section.teachers.empty? || @teachers.nil? || section.called_teachers.intersect?(@teachers)
      end

      def enough?(item, here) = here.size >= ENOUGH * @items.dancers(item).size
      def placed(item) = @links[item.links.first - 1]
      def bpm(item) = @work.track.map.bpm_at(placed(item).start_beat)
      def index(name) = @progress.ladder.index(name)
    end
  end
end
