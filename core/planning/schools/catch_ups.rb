# frozen_string_literal: true

module Core
  module Planning
    module Schools
      # Who learns later than the others, and what is danced again before it is forgotten.
      module CatchUps
        # Away for this share of the rehearsals: a learn goes ahead without them.
        AWAY = 0.5

        private

        # Who is called to a learn, and who is away so much that they are caught up instead (a fifth at the most).
        def called(people)
          missing = @quorum.without(people, @away.select { |_, share| share >= AWAY })
          [people - missing, missing]
        end

        # Dancers who have not seen what nearly all others have.
        def add_catch_up(placed, item)
          people = @items.dancers(item).select { |who| @progress.rung(who, item.key).zero? } | missed(item)
          catch_up(placed, item, people) if people.any?
        end

        # Who was marked away when it was taught and has not been seen to dance it since.
        def missed(item)
          @missed.fetch(item.key, [])
            .select { |who| @items.dancers(item).include?(who) && !@progress.at_least?(who, item.key, "slow") }
        end

        def catch_up(placed, item, people)
          add(
            kind: "catchup",
            id: TaskKey.of("catchup", item.key),
            item:,
            minutes: [(minutes(placed, Quorum::CATCHING_UP) / 5) * 5, 10].max,
            split: true,
            section: placed.section,
            links: [placed.index],
            after: ids(TaskKey.of("learn", item.key)),
            dancers: people
          )
        end

        # What was learned and has not been danced for too long is danced again before it is needed.
        def add_reviews(links)
          return unless @today

          links
            .map { |index| @items.of_link(index) }
            .uniq(&:key)
            .each do |item|
              if rusty?(item) && ids(TaskKey.of("review", item.key)).empty? && ids(TaskKey.of("learn", item.key)).empty?
                add_review(item)
              end
            end
        end

        def rusty?(item)
          cells =
            @items.dancers(item)
              .map { |who| @progress.cell(who, item.key) }
              .select { |cell| cell.rung >= @progress.ladder.index("tempo") }
          cells.any? && cells.count { |cell| cell.freshness(@today) == :rusty } * 2 > cells.size
        end

        def add_review(item)
          placed = @links[item.links.first - 1]
          minutes = @estimate.chain(placed.seconds, people: @items.dancers(item).size, passes: 2, notes: 0).minutes
          add(
            kind: "review",
            id: TaskKey.of("review", item.key),
            item:,
            minutes:,
            section: placed.section,
            links: [placed.index]
          )
        end
      end
    end
  end
end
