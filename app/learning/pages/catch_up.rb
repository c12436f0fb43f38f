# frozen_string_literal: true

module App
  module Learning
    module Pages
      # The smallest list that gets a dancer back among the others.
      class CatchUp < Panel
        attr_reader :person

        def initialize(person: nil, **rest)
          super(**rest)
          id = person.to_s[/\A\d{1,18}\z/]&.to_i
          @person = people[id] if id && items.everybody.include?(id)
          @person ||= people[all.first&.first]
        end

        def panel = :catch_up

        # [[person id, items behind], …], those with most first.
        def all = @all ||= snapshot.memo(:catch_ups) { core.everybody.map { |id, lags| [id, lags.size] } }

        def lines = @lines ||= person ? core.for(person.id, among: present) : []
        def minutes = lines.sum(&:minutes)

        # "Show Ada what is new: Drift, 10 min, with Bruno."
        def sentence
          said = lines.first(3).map do |line|
            words = { what: item_name(line.item), minutes: line.minutes }
            next I18n.t("catch_up.alone", **words) unless line.buddy

            I18n.t("catch_up.one", **words, buddy: people.fetch(line.buddy).first_name)
          end
          I18n.t("catch_up.show", name: person.first_name, list: said.join("; "))
        end

        def buddies = lines.filter_map(&:buddy).uniq
        def from(line) = line.rung.zero? ? I18n.t("catch_up.nothing") : rung(line.rung)

        # What it comes from and goes into, as the body is there; nil where it is not known.
        def before(line) = body(walk(line)&.entry)
        def after(line) = body(walk(line)&.exit)

        private

        def core
          @core ||= Core::Learning::CatchUp.new(items, progress, minutes: method(:minutes_of), groups: snapshot.cast)
        end

        # A pass of it for one takes a part of what teaching it to all takes.
        def minutes_of(item, left)
          placed = order.links[item.links.first - 1]
          return joining(placed, left) if item.kind == :join

          whole = estimate.learn(placed.section, bpm: work.track.map.bpm_at(placed.start_beat), people: 1).minutes
          [(whole * left * Core::Planning::Quorum::CATCHING_UP).ceil, 3].max
        end

        def joining(placed, left)
          bpm = work.track.map.bpm_at(placed.start_beat)
          [(estimate.join(bpm:, people: 1, passes: 2).minutes * left).ceil, 3].max
        end

        def walk(line)
          snapshot.danced.walk(order.links[line.item.links.first - 1].link) unless line.item.kind == :join
        end

        def body(state) = state && Shared::Wording.body(state).presence
      end
    end
  end
end
