# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Root of the schools of building a piece: each is a list of tasks with what waits for what. Progress shortens what
      # is partly there and leaves out what is done; who is away for most of the season is caught up before the join.
      class School
        include Runs

        ENOUGH = 0.8
        QUORUM = 0.8
        # Away for this share of the rehearsals: a learn goes ahead without them.
        AWAY = 0.5
        CATCH_UP = 0.6

        # items: Learning::Items; progress: Learning::Progress; runs: how many full runs are wanted; away: {person => share of
        # the rehearsals they miss}; cleaning: share of the learning minutes given again to cleaning; today: a Date, for
        # reviews of what is rusty; missed: {item key => [person]} who were not there when it was taught.
        def initialize(work, items:, progress: Learning::Progress.new, estimate: Estimate.new, runs: 5, done_runs: 0, away: {}, cleaning: 0.0, today: nil, missed: {})
          @missed = missed
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
          left = (1 - taught(item)) * share
          return if item.links.first != placed.index || done?(item)

          return add_catch_up(placed, item) if left < 0.1

          kind = placed.section.fidelity == "yours" ? "make" : "learn"
          here, missing = called(@items.dancers(item))
          add(kind:, id: "learn-#{item.key}", item:, minutes: minutes(placed, left), split: true, eights: placed.section.eights * left, section: placed.section, links: [placed.index],
              after: same_teacher(placed.section), dancers: here)
          missing |= missed(item)
          catch_up(placed, item, missing) if missing.any?
          add_place(placed, item)
        end

        def minutes(placed, left) = @estimate.learn(placed.section, left:, bpm: @work.track.map.bpm_at(placed.start_beat), people: @items.in_link(placed.index).size).minutes

        # Whether so many have it that the section needs no slot of its own.
        def done?(item) = taught(item) > 0.9 && @progress.share(@items.dancers(item), item.key, at: 1) >= 1.0

        # How much of an item is there already, 0 to 1: each rung up to "at tempo" is a third.
        def taught(item)
          people = @items.dancers(item)
          return 0.0 if people.empty?

          people.sum { |person| [@progress.rung(person, item.key), 3].min }.fdiv(3 * people.size)
        end

        # Who is called to a learn, and who is away so much that they are caught up instead (a fifth at the most).
        def called(people)
          most = (people.size * (1 - QUORUM)).round(6).floor
          missing = people.select { |who| @away.fetch(who, 0) >= AWAY }.max_by(most) { |who| @away[who] }
          [people - missing, missing]
        end

        # Dancers who have not seen what nearly all others have.
        def add_catch_up(placed, item)
          people = @items.dancers(item).select { |who| @progress.rung(who, item.key).zero? } | missed(item)
          catch_up(placed, item, people) if people.any?
        end

        # Who was marked away when it was taught and has not been seen to dance it since.
        def missed(item) = @missed.fetch(item.key, []).select { |who| @items.dancers(item).include?(who) && @progress.rung(who, item.key) < 2 }

        def catch_up(placed, item, people)
          add(kind: "catchup", id: "catchup-#{item.key}", item:, minutes: [(minutes(placed, CATCH_UP) / 5) * 5, 10].max, split: true, section: placed.section, links: [placed.index],
              after: ids("learn-#{item.key}"), dancers: people)
        end

        # Groups that do not all begin together are put onto their counts and spots.
        def add_place(placed, item)
          return if placed.section.parts.map(&:offset).uniq.size < 2

          add(kind: "place", id: "place-#{item.key}", item:, minutes: @estimate.place(placed.seconds).minutes, section: placed.section, links: [placed.index], after: ids("learn-#{item.key}"))
        end

        def add_difference(placed)
          item = @items.of_link(placed.index)
          return if taught(item) > 0.9

          minutes = @estimate.difference(placed.section, item.counts).minutes
          add(kind: "difference", id: "difference-#{item.key}", item:, minutes:, section: placed.section, links: [placed.index], after: learned(placed.section))
        end

        def add_join(join)
          item = @items.of_join(join.index)
          people = @items.dancers(item)
          return if join.repeat? || people.empty? || @progress.share(people, item.key, at: 2) >= ENOUGH

          bpm = @work.track.map.bpm_at(join.entering.start_beat)
          add(kind: "join", id: "join-#{item.key}", item:, minutes: @estimate.join(bpm:, people: people.size).minutes, section: join.entering.section, links: [join.index, join.entering.index],
after: around(join))
        end

        def around(join) = [join.leaving, join.entering].flat_map { |placed| learned(placed.section) + different(placed) }

        # A chain over links from…to, after everything inside that is still to be done.
        def add_chain(from, to)
          return if inside(from, to).empty? || @tasks.last.kind == "chain"

          links = (from..to).to_a
          add_reviews(links)
          push_chain(links, after: inside(from, to).map(&:id), teacher: @links[to - 1].section.choreographer)
        end

        # Tasks that lie wholly within some links.
        def inside(from, to) = @tasks.reject(&:run?).select { |task| task.links && task.links.min >= from && task.links.max <= to }

        def push_chain(links, after:, teacher:)
          people = links.map { |index| @items.in_link(index) }.reduce([], :|)
          push(kind: "chain", id: "chain-#{links.first}-#{links.last}", minutes: @estimate.chain(seconds(links), people: people.size, passes: 1).minutes, dancers: people,
               choreographers: [teacher].compact, links:, after:, title: chain_title(links.first, links.last))
        end

        def seconds(links) = links.sum { |index| @links[index - 1].seconds }
        def chain_title(from, to) = from == 1 ? "From the top to #{@links[to - 1].name}" : "From #{@links[from - 1].name} to #{@links[to - 1].name}"

        # What was learned and has not been danced for too long is danced again before it is needed.
        def add_reviews(links)
          return unless @today

          links.map { |index| @items.of_link(index) }.uniq(&:key).each { |item| add_review(item) if rusty?(item) && ids("review-#{item.key}").empty? && ids("learn-#{item.key}").empty? }
        end

        def rusty?(item)
          cells = @items.dancers(item).map { |who| @progress.cell(who, item.key) }.select { |cell| cell.rung >= 3 }
          cells.any? && cells.count { |cell| cell.freshness(@today) == :rusty } * 2 > cells.size
        end

        def add_review(item)
          placed = @links[item.links.first - 1]
          minutes = @estimate.chain(placed.seconds, people: @items.dancers(item).size, passes: 2, notes: 0).minutes
          add(kind: "review", id: "review-#{item.key}", item:, minutes:, section: placed.section, links: [placed.index])
        end

        def learned(section) = ids("learn-s#{section.id}") + ids("place-s#{section.id}") + ids("catchup-s#{section.id}")
        def different(placed) = placed.link.altered? ? ids("difference-#{@items.of_link(placed.index).key}") : []
        def ids(id) = @tasks.map(&:id) & [id]
        def previous(kind) = @tasks.select { |task| task.kind == kind }.last(1).map(&:id)

        # What the same teacher taught before comes first.
        def same_teacher(section) = @tasks.select { |task| %w[learn make].include?(task.kind) && task.choreographers == [section.choreographer].compact }.last(1).map(&:id)

        def add(item:, section:, dancers: @items.dancers(item), **fields)
          push(dancers:, choreographers: [section.choreographer].compact, sections: [section.id], title: item.name, **fields)
        end

        def push(**fields) = @tasks << Task.new(**fields)
      end
    end
  end
end
