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
        include Seams

        # items: Learning::Items; progress: Learning::Progress; runs: how many full runs are wanted; away: {person =>
        # share of the rehearsals they miss}; cleaning: share of the learning minutes given again to cleaning; today: a
        # Date, for reviews of what is rusty; missed: {item key => [person]} who were not there when it was taught;
        # reached: {section id => eights taught so far}; quorum: the share of its dancers with which a learn goes ahead;
        # held: {id of a cleaning task => minutes it was given already}.
        def initialize(work, items:, progress: Learning::Progress.new, estimate: Estimate.new, runs: 5, done_runs: 0,
                       away: {}, cleaning: 0.0, today: nil, missed: {}, reached: {}, quorum: 0.8, held: {})
          @missed = missed
          @held = held
          @reached = reached
          @quorum = quorum
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
          placed.link.altered? ? add_difference(placed) : add_section(placed, share)
        end

        def add_section(placed, share)
          item = @items.of_link(placed.index)
          left = left_of(placed.section, item) * share
          return if item.links.first != placed.index || done?(item)

          return add_catch_up(placed, item) if left < 0.1

          kind = placed.section.made_here? ? "make" : "learn"
          here, missing = called(@items.dancers(item))
          add(
            kind:,
            id: "learn-#{item.key}",
            item:,
            minutes: minutes(placed, left),
            split: true,
            eights: placed.section.eights * left,
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
        def done?(item) = taught(item) > 0.9 && @progress.share(@items.dancers(item), item.key, at: 1) >= 1.0

        # How much of an item is there already, 0 to 1: each rung up to "at tempo" is a third.
        def taught(item)
          people = @items.dancers(item)
          return 0.0 if people.empty?

          people.sum { |person| [@progress.rung(person, item.key), 3].min }.fdiv(3 * people.size)
        end

        # Groups that do not all begin together are put onto their counts and spots.
        def add_place(placed, item)
          return if placed.section.parts.map(&:offset).uniq.size < 2

          add(
            kind: "place",
            id: "place-#{item.key}",
            item:,
            minutes: @estimate.place(placed.seconds).minutes,
            section: placed.section,
            links: [placed.index],
            after: ids("learn-#{item.key}")
          )
        end

        def add_difference(placed)
          item = @items.of_link(placed.index)
          return if taught(item) > 0.9

          minutes =
            @estimate.difference(
              placed.section,
              item.counts,
              bpm: @work.track.map.bpm_at(placed.start_beat),
              people: @items.in_link(placed.index).size
            ).minutes
          add(
            kind: "difference",
            id: "difference-#{item.key}",
            item:,
            minutes:,
            section: placed.section,
            links: [placed.index],
            after: learned(placed.section)
          )
        end

        # A chain over links from…to, after everything inside that is still to be done.
        def add_chain(from, to)
          return if inside(from, to).empty? || @tasks.last.kind == "chain"

          links = (from..to).to_a
          add_reviews(links)
          push_chain(links, after: inside(from, to).map(&:id), teacher: @links[to - 1].section.choreographer)
        end

        # Tasks that lie wholly within some links.
        def inside(from, to)
          @tasks.reject(&:run?).select { |task| task.links && task.links.min >= from && task.links.max <= to }
        end

        def push_chain(links, after:, teacher:)
          people = links.map { |index| @items.in_link(index) }.reduce([], :|)
          push(
            kind: "chain",
            id: "chain-#{links.first}-#{links.last}",
            minutes: @estimate.chain(seconds(links), people: people.size, passes: 1).minutes,
            dancers: people,
            choreographers: [teacher].compact,
            links:,
            after:,
            title: chain_title(links.first, links.last)
          )
        end

        def seconds(links) = links.sum { |index| @links[index - 1].seconds }

        def chain_title(from, to)
          if from == 1
            "From the top to #{@links[to - 1].name}"
          else
            "From #{@links[from - 1].name} to #{@links[to - 1].name}"
          end
        end

        def learned(section) = ids("learn-s#{section.id}") + ids("place-s#{section.id}") + ids("catchup-s#{section.id}")
        def different(placed) = placed.link.altered? ? ids("difference-#{@items.of_link(placed.index).key}") : []
        def ids(id) = @tasks.map(&:id) & [id]
        def previous(kind) = @tasks.select { |task| task.kind == kind }.last(1).map(&:id)

        # What the same teacher taught before comes first.
        def same_teacher(section)
          @tasks
            .select do |task|
              %w[learn make].include?(task.kind) && task.choreographers == [section.choreographer].compact
            end
            .last(1)
            .map(&:id)
        end

        def add(item:, section:, dancers: @items.dancers(item), **fields)
          push(dancers:, choreographers: [section.choreographer].compact, title: item.name, **fields)
        end

        # Sections that lie in its links, unless said otherwise.
        def push(**fields)
          sections = fields[:sections] || fields.fetch(:links).map { |index| @links[index - 1].section.id }.uniq
          @tasks << Task.new(**fields, sections:)
        end
      end
    end
  end
end
