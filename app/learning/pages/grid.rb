# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Dancers × links and joins, a ring a cell, at most sixty dancers a page.
      class Grid < Shared::PiecePage
        PER_PAGE = 60
        Column = Struct.new(:item, :kind, :index, :name, :tape, :echo, :have, :of, keyword_init: true)

        def initialize(group: nil, number: nil, **rest)
          super(**rest)
          @group = group.to_s[/\A\d+\z/]&.to_i
          @number = number.to_s[/\A[1-9]\d{0,3}\z/]&.to_i || 1
        end

        def screen = :who_has_it
        def tick? = Piece::Policy.new(member, piece).tick?
        def wide? = true
        def groups = piece.groups
        def group = groups.find { |g| g.id == @group }

        def pagy
          @pagy ||=
            Pagy.new(
              count: dancers.size,
              page: @number.clamp(1, [(dancers.size / PER_PAGE.to_f).ceil, 1].max),
              limit: PER_PAGE
            )
        end

        def shown = dancers[pagy.offset, PER_PAGE] || []

        # [[names of the groups, [person]], …], a new line where the next dancer's groups are others.
        def shown_by_group
          shown.chunk { |person| group_name(person) }.to_a
        end

        def ladder = progress.ladder
        def rungs = I18n.t("rungs")

        def summary
          I18n.t("learning.summary", percent: snapshot.memo(:percent) { (progress.total(items) * 100).round })
        end

        def dancers
          @dancers ||=
            cast.keys
              .filter_map { |id| people[id] }
              .select { |person| group.nil? || cast[person.id].include?(group.id) }
              .sort_by { |person| [first_group(person), person.name] }
        end

        def cast = snapshot.cast
        def first_group(person) = numbers[cast[person.id].min_by { |id| numbers.fetch(id, 999) }] || 999
        def group_name(person) = groups.select { |g| cast[person.id].include?(g.id) }.map(&:name).join(", ")

        def columns
          @columns ||= items.columns.map { |item| column(item) }.then { |all| at ? near(all) : all }
        end

        # The cells of one dancer's row, ready made; empty where they do not dance it.
        def row(person)
          id = person.id
          columns.map do |column|
            unless danced[column.item.key].include?(id)
              next column.kind == :join ? '<td class="join"></td>' : "<td></td>"
            end

            tds(column)[progress.cell(id, column.item.key)]
          end.join
        end

        private

        def numbers = @numbers ||= groups.to_h { |g| [g.id, g.number] }

        # Cells that are equal are one object (see the mapping), so their table cells are made once for every way of
        # counting.
        def tds(column)
          @tds ||= {}
          @tds[[column.kind == :join, progress.way(column.item.key)]] ||= Hash.new do |known, cell|
            known[cell] = td(cell, column)
          end.compare_by_identity
        end

        def td(cell, column)
          ring = Shared::Ring.classes(cell, ladder, today, progress.way(column.item.key))
          %(<td data-i class="#{ring}#{' join' if column.kind == :join}">#{cell.rung}</td>)
        end

        def danced = snapshot.memo(:danced) { items.all.to_h { |item| [item.key, items.dancers(item).to_set] } }

        def column(item)
          counts[item.kind] += 1
          people = items.dancers(item)
          have = snapshot.memo([:have, item.key]) { people.count { |id| progress.learned?(id, item.key) } }
          Column.new(item:, kind: item.kind, have:, of: people.size, **place(item))
        end

        def counts = @counts ||= Hash.new(0)

        def place(item)
          case item.kind
          when :join then { index: counts[:join], name: I18n.t("joins.into", name: order.links[counts[:join]].name) }
          when :section, :difference then link_place(order.links[counts[:section] + counts[:difference] - 1])
          when :own then { **link_place(order.links[item.links.first - 1]), name: item.name }
          else { index: 0, name: I18n.t("learning.#{item.kind}") }
          end
        end

        def link_place(link)
          { index: link.index, name: link.name, tape: tape(link.section), echo: (link.echo unless link.echo == :first) }
        end

        # Around what is picked on the spine: the link and the joins on its two sides.
        def near(all)
          index = at.to_i
          all.select do |c|
            if c.kind == :join
              [index - 1, index].include?(c.index)
            else
              c.index == index || (at.end_with?("j") && c.index == index + 1)
            end
          end
        end
      end
    end
  end
end
