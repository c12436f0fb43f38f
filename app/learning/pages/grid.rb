# frozen_string_literal: true

module App
  module Learning
    module Pages
      # Dancers × links and joins, a ring a cell, at most sixty dancers a page: of their own parts or along another
      # strand, by groups, by who is most behind, or by who blocks the next kind of run.
      class Grid < Panel
        include GridOrder

        PER_PAGE = 60
        Column = Struct.new(:item, :kind, :index, :name, :tape, :echo, :have, :of, keyword_init: true)

        def initialize(group: nil, number: nil, sort: nil, strand: nil, **rest)
          super(**rest)
          @sort = SORTS.include?(sort) ? sort : SORTS.first
          @strand = StrandForm.read(strand) || Core::Learning::Strand::OWN
          @group = group.to_s[/\A\d+\z/]&.to_i
          @number = number.to_s[/\A[1-9]\d{0,3}\z/]&.to_i || 1
        end

        attr_reader :sort, :strand

        # What is ticked along the strand that is shown.
        def progress = @progress ||= super.on(strand)
        def strand_word = StrandForm.write(strand)

        # [[value, label], …] of the strands to look at.
        def strands
          covers = piece.understudies.distinct.pluck(:covers_person_id) | [strand.covers].compact
          [
            *(StrandForm::PLAIN + layers).map { |word| [word, I18n.t("strands.#{word}")] },
            *covers.filter_map { |id| people[id] }
              .map { |person| ["cover:#{person.id}", I18n.t("strands.cover", name: person.name)] }
          ]
        end

        # The address of this grid with something changed.
        def grid_path(**other)
          order_by = sort unless sort == SORTS.first
          along = strand_word unless strand.own?
          wanted = { sort: order_by, strand: along, group: group&.id, at: }.merge(other).compact
          path("/who-has-it#{"?#{Rack::Utils.build_query(wanted)}" if wanted.any?}")
        end

        # The same on paper.
        def pdf_path = grid_path.sub("/who-has-it", "/who-has-it.pdf")

        def tick? = Piece::Policy.new(member, piece).tick?
        def wide? = true
        def groups = piece.groups
        def group = groups.find { |g| g.id == @group }

        def number_of_pages = [(dancers.size / PER_PAGE.to_f).ceil, 1].max
        def number = @number.clamp(1, number_of_pages)
        def shown = dancers[(number - 1) * PER_PAGE, PER_PAGE] || []

        # [[names of the groups, [person]], …], a new line where the next dancer's groups are others.
        def shown_by_group
          return [[nil, shown]] unless sort == SORTS.first

          shown.chunk { |person| group_name(person) }.to_a
        end

        def ladder = progress.ladder
        def rungs = I18n.t("rungs")

        def summary
          I18n.t("learning.summary", percent: snapshot.percent)
        end

        def dancers
          @dancers ||=
            cast.keys
              .filter_map { |id| people[id] }
              .select { |person| group.nil? || cast[person.id].include?(group.id) }
              .select { |person| danced_along?(person.id) }
              .sort_by { |person| [place_of(person.id), first_group(person), person.name] }
        end

        # Whoever learns the part they cover, where a cover's learning is shown.
        def danced_along?(id) = strand.covers.nil? || id != strand.covers

        def cast = snapshot.cast
        def first_group(person) = numbers[cast[person.id].min_by { |id| numbers.fetch(id, 999) }] || 999
        def group_name(person) = groups.select { |g| cast[person.id].include?(g.id) }.map(&:name).join(", ")

        def columns
          @columns ||= begin
            wanted = strand.layer ? items.all : items.columns
            all = wanted.select { |item| along?(item) }.map { |item| column(item) }
            at ? near(all) : all
          end
        end

        # The links, for who looks at one at a time.
        def sections_to_choose = columns.select { |column| %i[section difference].include?(column.kind) }

        # The cells of one dancer's row, ready made; empty where they do not dance it.
        def row(person)
          id = person.id
          columns.map do |column|
            unless dances?(id, column.item)
              next column.kind == :join ? '<td class="join"></td>' : "<td></td>"
            end

            tds(column)[progress.cell(id, column.item.key)]
          end.join
        end

        private

        def layers
          sections_by_layer.any? || strand.layer ? Core::Learning::Strand::LAYERS : []
        end

        # Sections of which the ladder is kept for each layer.
        def sections_by_layer = @sections_by_layer ||= piece.sections.select(&:layered_ladder).to_set(&:id)

        # Columns that belong to the strand: a layer's are those of the sections that keep it.
        def along?(item)
          return true if strand.layer.nil?

          return false unless %i[section own difference].include?(item.kind)

          item.links.any? { |index| sections_by_layer.include?(order.links[index - 1].section.id) }
        end

        def dances?(id, item) = danced[item.key].include?(strand.covers || id)

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

        def danced = snapshot.dancers

        def column(item)
          counts[item.kind] += 1
          people = items.dancers(item)
          have = snapshot.memo([:have, item.key, strand], of: item.key) do
            people.count { |id| progress.learned?(id, item.key) }
          end
          Column.new(item:, kind: item.kind, have:, of: people.size, **place(item))
        end

        def counts = @counts ||= Hash.new(0)

        def place(item)
          return layer_place(item) if strand.layer

          case item.kind
          when :join then { index: counts[:join], name: I18n.t("joins.into", name: order.links[counts[:join]].name) }
          when :section, :difference then link_place(order.links[counts[:section] + counts[:difference] - 1])
          when :own then { **link_place(order.links[item.links.first - 1]), name: item.name }
          else { index: 0, name: I18n.t("learning.#{item.kind}") }
          end
        end

        # Where not every link has a column, they cannot be counted through.
        def layer_place(item) = { **link_place(order.links[item.links.first - 1]), name: item.name }

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
