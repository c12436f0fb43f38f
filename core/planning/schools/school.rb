# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Root of the schools of building a piece: each is a list of tasks with what waits for what. Progress shortens
      # what is partly there and leaves out what is done; who is away for most of the season is caught up before the
      # join.
      class School
        include CatchUps
        include Runs
        include Chains
        include Seams
        include Own
        include Waiting
        include Differences

        # items: Learning::Items; progress: Learning::Progress; runs: how many full runs are wanted; away: {person =>
        # share of the rehearsals they miss}; cleaning: share of the learning minutes given again to cleaning; today: a
        # Date, for reviews of what is rusty; missed: {item key => [person]} who were not there when it was taught;
        # reached: {section id => eights taught so far}; quorum: the share of its dancers with which a learn goes ahead;
        # held: {id of a cleaning task => minutes it was given already}; drills: [Drill] that somebody wants; lifts: ids
        # of sections in which people hold each other, so that none of them can be missing; leaders: {person => price in
        # person-minutes} of those who may lead a run, the teachers of its sections aside; recut: {item key => {people:,
        # eights:}} of what changed since it was taught; made: keys of joins that need no slot, since they were danced
        # clean.
        def initialize(work, items:, progress: Learning::Progress.new, estimate: Estimate.new, runs: 5, done_runs: 0,
                       away: {}, cleaning: 0.0, today: nil, missed: {}, reached: {}, quorum: 0.8, held: {}, drills: [],
                       lifts: [], leaders: {}, made: [], recut: {})
          @recut = recut
          @made = made
          @lifts = lifts
          @leaders = leaders
          @missed = missed
          @held = held
          @drills = drills
          @reached = reached
          @quorum = Quorum.new(share: quorum)
          @work = work
          @items = items
          @progress = progress
          @estimate = estimate
          @runs = runs
          @done_runs = done_runs
          @away = away
          @cleaning = cleaning
          @today = today
          @links = work.order.links
          @joins = Joins::Sequence.new(work.order).joins
        end

        # [Task] in the order of this school.
        def tasks
          @tasks = []
          build unless @links.empty?
          @tasks
        end

        private

        # Subclasses say here what comes when.
        def build = raise(NotImplementedError)

        def add_link(placed, share: 1.0)
          return add_difference(placed) if placed.link.altered?

          add_section(placed, share)
          add_recut(placed)
          add_own(placed)
        end

        def add_section(placed, share)
          item = @items.of_link(placed.index)
          return known(placed, item) if placed.section.untaught?

          left = left_of(placed.section, item) * share
          return if item.links.first != placed.index || done?(item)

          return add_catch_up(placed, item) if left < 0.1

          kind = placed.section.made_here? ? "make" : "learn"
          here, missing = called(@items.dancers(item))
          add(
            kind:,
            id: TaskKey.of("learn", item.key),
            item:,
            minutes: minutes(placed, left),
            split: true,
            eights: placed.section.new_eights * left,
            section: placed.section,
            links: [placed.index],
            after: same_teacher(placed.section),
            dancers: here,
            from_eight: next_eight(placed.section)
          )
          missing |= missed(item)
          catch_up(placed, item, missing) if missing.any?
          add_place(placed, item)
        end

        def known(placed, item) = (add_place(placed, item) if item.links.first == placed.index)

        # How much of a section is still to be taught, 0 to 1. Where it stopped half way, it goes on one eight before
        # that; where all was shown, the first third is there.
        def left_of(section, item)
          reached = @reached.fetch(section.id, 0)
          return 1 - taught(item) if reached.zero?

          reached < section.rows.size ? 1 - (reached - 1).fdiv(section.rows.size) : [1 - taught(item), 2 / 3r].min.to_f
        end

        # The eight with which its next lesson begins.
        def next_eight(section)
          @reached.fetch(section.id, 0).then { |reached| reached.between?(2, section.rows.size - 1) ? reached : 1 }
        end

        def minutes(placed, left)
          @estimate.learn(
            placed.section,
            left:,
            bpm: @work.track.map.bpm_at(placed.start_beat),
            people: @items.in_link(placed.index).size
          ).minutes
        end

        # Whether so many have it that the section needs no slot of its own.
        def done?(item) = taught(item) > 0.9 && @progress.share(@items.dancers(item), item.key, at: "shown") >= 1.0

        # How much of an item is there already, 0 to 1: each rung up to "at tempo" is a third.
        def taught(item)
          people = @items.dancers(item)
          return 0.0 if people.empty?

          tempo = @progress.ladder.index("tempo")
          people.sum { |person| [@progress.rung(person, item.key), tempo].min }.fdiv(tempo * people.size)
        end

        # Groups that do not all begin together are put onto their counts and spots.
        def add_place(placed, item)
          return if placed.section.parts.map(&:offset).uniq.size < 2

          add(
            kind: "place",
            id: TaskKey.of("place", item.key),
            item:,
            minutes: @estimate.place(placed.seconds).minutes,
            section: placed.section,
            links: [placed.index],
            after: ids(TaskKey.of("learn", item.key))
          )
        end

        # A join, the opening and the ending have one owner; a section is taught by whoever is called to it.
        def add(item:, section:, dancers: @items.dancers(item), **fields)
          choreographers = %i[section own difference].include?(item.kind) ? section.called_teachers : owner(section)
          push(dancers:, choreographers:, title: item.name, **fields)
        end

        def owner(section) = section.owners

        # Sections that lie in its links, unless said otherwise.
        def push(**fields)
          sections = fields[:sections] || fields.fetch(:links).map { |index| @links[index - 1].section.id }.uniq
          @tasks << Task.new(**fields, sections:, **company(fields, sections))
        end

        # Who of a task can miss an evening of it. Catching up is for those it is for.
        def company(fields, sections)
          return {} if fields[:kind] == "catchup"

          groups = @links.select { |placed| sections.include?(placed.section.id) }
            .flat_map { |placed| placed.section.groups }.uniq.map { |group| @items.in_group(group) }
          @quorum.company(fields.fetch(:dancers), groups:, held: @lifts.intersect?(sections) && sections.size <= 2)
        end
      end
    end
  end
end
