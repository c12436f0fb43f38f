# frozen_string_literal: true

module App
  module Files
    module Tables
      # Who has learned what: a row a dancer, a column for everything there is to learn, the rung by its name; and on a
      # second sheet how many have each.
      class WhoHasIt
        # piece; today: what fades, fades by it.
        def initialize(piece, today)
          @snapshot = Reading::PieceSnapshots.of(piece)
          @piece = piece
          @today = today
        end

        def name = "who has it"
        def tables = [grid, shares]

        private

        def items = @snapshot.items.columns
        def progress = @snapshot.progress

        def grid
          Formats::Table.new(
            name: I18n.t("files.tables.who_has_it"),
            columns: [I18n.t("files.columns.dancer"), I18n.t("files.columns.groups"), *items.map do |item|
              heading(item)
            end],
            rows: dancers.map { |person| [person.name, groups(person), *items.map { |item| cell(person.id, item) }] }
          )
        end

        def shares
          rows = items.map do |item|
            people = @snapshot.items.dancers(item)
            have = people.count { |id| progress.learned?(id, item.key) }
            [heading(item), have, people.size, people.empty? ? nil : (have * 100.0 / people.size).round]
          end
          columns = %w[what have_it dance_it percent].map { |column| I18n.t("files.columns.#{column}") }
          Formats::Table.new(name: I18n.t("files.tables.shares"), columns:, rows:)
        end

        def dancers
          @snapshot.cast.keys.filter_map { |id| @snapshot.people[id] }.sort_by(&:name)
        end

        def groups(person)
          @piece.groups.select { |group| @snapshot.cast[person.id].include?(group.id) }.map(&:name).join(", ")
        end

        def heading(item) = Shared::ItemName.of(item)

        # "tempo", "tempo, fading"; nothing where they do not dance it.
        def cell(id, item)
          return unless @snapshot.dancers[item.key].include?(id)

          cell = progress.cell(id, item.key)
          states = Shared::Ring.classes(cell, progress.ladder, @today, progress.way(item.key)).split
          told = (states & %w[fading changed]).map { |state| I18n.t("files.#{state}") }
          [Shared::Ring.word(cell.rung), *told].join(", ")
        end
      end
    end
  end
end
