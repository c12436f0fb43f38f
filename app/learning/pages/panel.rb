# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Root of what stands beside the grid of Who has it.
      class Panel < Reading::PiecePage
        # Panels by their place in the address.
        WAYS = {
          grid: "",
          ready: "/ready",
          coverage: "/coverage",
          catch_up: "/catch-up",
          understudies: "/understudies",
          sign_offs: "/sign-offs",
          next_best: "/next"
        }.freeze

        def screen = :who_has_it
        def panel = :grid

        # [[label, path, shown now?], …]
        def ways = WAYS.map { |key, tail| [I18n.t("learning.ways.#{key}"), path("/who-has-it#{tail}"), key == panel] }

        def item_name(item) = Shared::ItemName.of(item)

        # Where an item is looked at: its join, or its column of the grid.
        def item_path(item)
          index = item.links.first
          item.kind == :join ? path("/joins/#{index}") : path("/who-has-it?at=#{index}")
        end

        def name(person) = people.fetch(person).name
        def names(ids, most = 4) = Shared::Lists.of(ids.map { |id| name(id) }, most)
        def rung(number) = Shared::Ring.word(number)
        def slots_ahead = @slots_ahead ||= Reading::SlotsAhead.of(piece, items, season_snapshot, now)

        # "Thu 3 Dec, 18:20", and where its call sheet is.
        def slot_words(slot) = "#{Shared::Dates.day(slot.day)}, #{Formats::Times.clock(slot.minute)}"
        def slot_path(slot) = "/rehearsals/#{slot.id}/call-sheet"

        # The first slot ahead that works on an item.
        def next_slot(item) = slots_ahead.find { |slot| slot.works_on.include?(item.key) }

        # Those who are here today by the register, or the whole cast.
        def here = present ? items.everybody & present : items.everybody

        # A person's groups.
        def groups_of(person)
          ids = snapshot.cast.fetch(person, [])
          piece.groups.select { |group| ids.include?(group.id) }.map(&:name).join(", ")
        end
      end
    end
  end
end
