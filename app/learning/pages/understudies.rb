# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Every part, who learns it to step in, and who could step in today.
      class Understudies < Panel
        Part = Struct.new(:person, :groups, :covers, :named, :here, keyword_init: true)

        def panel = :understudies
        def name? = Piece::Policy.new(member, piece).tick?
        def rows = @rows ||= items.everybody.map { |id| part(people.fetch(id)) }.sort_by { |row| row.person.name }

        # Parts that somebody learns or is close to, and all the others.
        def shown = rows.reject { |row| apart?(row) }
        def apart = rows.select { |row| apart?(row) }
        def dancers = @dancers ||= items.everybody.map { |id| people.fetch(id) }.sort_by(&:name)

        # "has 8 of 11, 3 of them as a cover; away from own place in 2 links"
        def words(cover)
          parts = [I18n.t("understudies.has", learned: cover.learned, of: cover.items)]
          parts << I18n.t("understudies.practised", count: cover.practised) if cover.practised.positive?
          parts << I18n.t("understudies.busy", count: cover.busy) if cover.busy.positive?
          parts.join(", ")
        end

        # Those who have at least three quarters of it or learn it as a cover, and the others.
        def close(row)
          row.covers.select { |cover| cover.practised.positive? || cover.learned * 4 >= cover.items * 3 }
        end

        def further(row) = row.covers - close(row)

        # The grid of a cover's learning of this part.
        def grid_path(person) = path("/who-has-it?strand=cover:#{person.id}")

        # Records::Understudy of a pair, to be taken back.
        def row_of(cover, person) = named_rows.find { |row| row.person_id == cover && row.covers_person_id == person }

        private

        def apart?(row) = row.named.empty? && close(row).empty?

        def named_rows = @named_rows ||= piece.understudies.order(:id).to_a

        def core
          @core ||= Core::Learning::Understudies.new(
            items,
            progress,
            named: named_rows.group_by(&:covers_person_id).transform_values { |rows| rows.map(&:person_id) }
          )
        end

        def part(person)
          Part.new(
            person:,
            groups: groups_of(person.id),
            covers: snapshot.memo([:covers, person.id, here.size, present&.sort]) { core.of(person.id, among: here) },
            named: named_rows.select { |row| row.covers_person_id == person.id },
            here: here.include?(person.id)
          )
        end
      end
    end
  end
end
