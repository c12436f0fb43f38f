# frozen_string_literal: true

module Formats
  module Piece
    # Reads and checks a piece-1 object.
    class Reader
      def initialize(data)
        @report = Fields.report
        @fields = Fields.new(data, "", @report)
      end

      def work
        title = @fields.text("title", default: "")
        track = self.track
        groups = @fields.list("groups") { |group| group(group) }
        @cast_groups = groups
        sections = self.sections(groups.map(&:first))
        links = self.links(sections.compact.to_h { |section| [section.id, section] })
        checking = Core::Piece::Checking.new(steps: !@fields.flag("steps_not_written"))
        @fields.skip(*PieceFile::KEYS)
        @fields.close
        @report.finish
        [Core::Piece::Work.new(title:, track:, groups:, sections:, links:, checking:), @report.notes]
      end

      private

      def track
        @fields.object("track", default: Core::Music::Track.new) do |track|
          tempo = track.list("tempo") { |t| [t.integer("from_count", min: 1), t.number("bpm", min: 20, max: 400)] }
          form = track.list("form") { |part| [part.text("name"), part.integer("counts", min: 1)] }
          length = track.number("length_seconds", min: 0, max: 36_000, default: nil)
          attempt(track.path) do
            Core::Music::Track.new(
              tempo: tempo.empty? ? [[1, 120]] : tempo,
              first_count_seconds: track.number("first_count_seconds", default: 0),
              length_seconds: length,
              form:
            )
          end
        end
      end

      def attempt(path)
        yield if @report.faults.empty?
      rescue Core::ValueError => e
        @fields.fault("#{path}.#{e.path}".delete_prefix("."), e.message.delete_prefix("#{e.path}: "))
        nil
      end

      def sections(groups)
        sections = @fields.list("sections", default: Fields::MISSING) { |section| section(section, groups) }
        ids = sections.compact.map(&:id)
        ids.tally.each { |id, n| @fields.fault("sections", "the id #{id.inspect} is used #{n} times") if n > 1 }
        sections
      end

      def group(fields)
        fields.skip("leader")
        [fields.text("id"), fields.text("name", default: fields.text("id"))]
      end

      def section(fields, groups)
        fields.skip(*PieceFile::SECTION_FACTS)
        rows = fields.list("rows") { |row| row(row) }.flat_map { |row| eights(row) }
        parts = fields.list("parts") { |part| part(part, groups) }
        values = facts(fields)
        edges = {
          entry: edge(fields, "entry"),
          exit: edge(fields, "exit"),
          feel: fields.choice("feel", %w[even triplet], default: "even")
        }
        attempt(fields.path) { Core::Piece::Section.new(**values, **edges, rows:, parts:, cast_groups: @cast_groups) }
      end

      # What is said of a section beside its eights, parts and edges.
      def facts(fields)
        {
          id: declared(fields.text("id")),
          name: fields.text("name"),
          choreographer: fields.text("choreographer", default: nil),
          co_teachers: fields.texts("co_teachers"),
          known: fields.flag("known"),
          teachers_needed: fields.choice("teachers_needed", %w[all one], default: "all"),
          time: fields.choice("time", Core::Piece::Section::BEATS.keys, default: "normal"),
          expected_counts: fields.integer("expected_counts", default: nil),
          difficulty: fields.number("difficulty", min: 0.1, max: 5, default: 1.0),
          method: fields.text("method", default: "drill"),
          hazards: fields.texts("hazards"),
          minutes: fields.number("minutes", min: 1, max: 10_000, default: nil),
          fidelity: fields.choice("fidelity", %w[set loose yours], default: "set"),
          layers: fields.choice("layers", Core::Piece::Section::LAYERS.keys, default: "together"),
          being_made: fields.flag("being_made")
        }
      end

      # Ids of all sections of the file, those with faults too.
      def declared(id) = id.tap { (@declared ||= []) << id }

      # What is stated of the body at an edge.
      def edge(fields, name)
        fields.object(name, default: {}) do |edge|
          {
            weight: edge.choice("weight", %w[left right both seated floor], default: nil)&.to_sym,
            facing: edge.integer("facing", min: 1, max: 8, default: nil),
            level: edge.choice("level", %w[air standing low kneeling seated floor], default: nil)&.to_sym,
            hands: edge.text("hands", default: nil),
            place: edge.text("place", default: nil)
          }.compact
        end
      end

      # "//" and "x2" begin further eights: a row whose text fills several is as many eights.
      def eights(row)
        Core::Movement::TypedEights.of(row.text, counts: row.counts).each_with_index.map do |(counts, text), i|
          row.with(counts:, text:, **(i.zero? ? {} : { cue: "", name: "" }))
        end
      end

      def row(fields)
        Core::Piece::Row.new(
          counts: fields.integer("counts", min: 1, max: Core::Piece::Row::MAX, default: nil) || missing(fields),
          text: fields.text("text", default: ""),
          cue: fields.text("cue", default: ""),
          name: fields.text("name", default: "")
        )
      end

      def missing(fields)
        fields.fault("#{fields.path}.counts", "must be given") unless fields.given?("counts")
        1
      end

      def part(fields, groups)
        group = fields.text("group")
        unless groups.include?(group)
          fields.fault("#{fields.path}.group", "names #{Fields.shown(group)}, which is not in groups")
        end
        values = {
          offset: fields.integer("offset", min: -32, max: 4096, default: 0),
          mirrored: fields.flag("mirrored"),
          stretches: stretches(fields),
          pauses: fields.list("pauses") { |each| [each.integer("after"), each.integer("counts", min: 1)] },
          level: fields.text("level", default: nil),
          place: fields.text("place", default: nil),
          facing: fields.integer("facing", min: 1, max: 8, default: nil)
        }
        Core::Piece::Part.new(
          group:,
          hold_before: fields.integer("hold_before", max: 4096, default: 0),
          hold_after: fields.integer("hold_after", max: 4096, default: 0),
          **values
        )
      end

      # Counts on which a group does something else than its moves.
      def stretches(fields)
        found =
          fields.list("stretches") do |each|
            [
              each.integer("from_count", min: -32),
              each.integer("to_count", min: -32),
              each.choice("doing", Core::Piece::Part::DOING.map(&:to_s))&.to_sym
            ]
          end
        found.each_with_index do |(from, to, _), i|
          if from && to && to < from
            fields.fault("#{fields.at('stretches')}[#{i}].to_count", "must not come before from_count")
          end
        end
        found.select { |from, to, doing| doing && from && to && from <= to }
      end

      def links(sections)
        @fields.list("links") { |link| link(link, sections) }.compact
      end

      def link(fields, sections)
        id = fields.text("section")
        section = sections[id]
        unless section || Array(@declared).include?(id)
          fields.fault("#{fields.path}.section", "names #{Fields.shown(id)}, which is not in sections")
        end
        changes = changes(fields, section&.rows&.size || 10_000)
        own = fields.text("id", default: nil)
        called = fields.text("called", default: "")[0, 60]
        section && Core::Piece::Link.new(section:, id: own, mirrored: fields.flag("mirrored"), changes:, called:)
      end

      def changes(fields, size)
        replace = keyed(fields, "replace", 1, size) { |item, path| fields.nested(item, path) { |row| row(row) } }
        added = keyed(fields, "insert_after", 0, size) { |items, path| rows_at(fields, items, path) }
        drop = fields.given?("drop") ? fields.integers("drop", min: 1, max: size) : []
        Core::Piece::Changes.new(replace:, drop:, insert_after: added)
      end

      def keyed(fields, name, least, most)
        fields.entries(name).filter_map do |key, item, path|
          number = Integer(key, exception: false)
          unless number&.between?(least, most)
            next fields.fault(path, "must be the number of an eight from #{least} to #{most}") && nil
          end

          [number, yield(item, path)]
        end.to_h
      end

      def rows_at(fields, items, path)
        return fields.fault(path, "must be a list") && [] unless items.is_a?(Array)

        items.each_with_index.map { |item, i| fields.nested(item, "#{path}[#{i}]") { |row| row(row) } }
      end
    end
  end
end
