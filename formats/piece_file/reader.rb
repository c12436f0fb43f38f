# frozen_string_literal: true

module Formats
  module PieceFile
    # Reads and checks a piece-1 object with what hangs on the piece. A section's choreographer that is nobody of
    # "people" is a name.
    class Reader
      def initialize(data)
        @data = data
        @work, @notes = Piece::Reader.new(data).work
        @report = Fields.report
        @fields = Fields.new(data, "", @report)
      end

      def read
        people = self.people
        @people = people.map(&:id)
        @groups = @work.groups.map(&:first)
        content = Content.new(
          work: @work, people:, show_date: @fields.day("show_date", default: nil),
          settings: @fields.object("settings", default: {}) { |fields| Settings.new(fields).read },
          leaders: facts("groups") { |group| known(group, "leader", @people, default: nil) }.compact,
          section_facts: facts("sections") { |section| section_facts(section) }, cast:, **lists
        )
        @report.finish
        [content, @notes + @report.notes]
      end

      private

      def lists
        {
          formations: @fields.list("formations") { |each| formation(each) },
          versions: @fields.list("versions") { |each| version(each) },
          version_people: @fields.list("version_people") { |each| version_of(each) },
          agreements: @fields.list("agreements") { |each| agreement(each) },
          join_facts: @fields.list("join_facts") { |each| join_fact(each) },
          understudies: @fields.list("understudies") { |each| understudy(each) }
        }
      end

      def people
        people = @fields.list("people") { |each| person(each) }
        people.map(&:id).tally.each do |id, n|
          @fields.fault("people", "the id #{id.inspect} is used #{n} times") if n > 1
        end
        people
      end

      def person(fields)
        Person.new(
          id: fields.text("id"), name: fields.text("name")&.slice(0, 80), dances: fields.flag("dances"),
          teaches: fields.flag("teaches"), adult: fields.flag("adult"),
          tape: fields.integer("tape", min: 1, max: 12, default: nil),
          initials: fields.text("initials", default: nil)&.slice(0, 4)
        )
      end

      def cast
        @fields.list("cast") do |each|
          groups = each.texts("groups")
          (groups - @groups).each do |id|
            each.fault(each.at("groups"), "names #{Fields.shown(id)}, which is not in groups")
          end
          [known(each, "person", @people), groups & @groups]
        end.to_h
      end

      # {id => what the block finds} of the objects of a list that piece-1 has read already.
      def facts(name)
        (@data[name] || []).each_with_index.to_h do |item, i|
          fields = Fields.new(item, "#{name}[#{i}]", @report)
          [item["id"].to_s, yield(fields)]
        end
      end

      def section_facts(fields)
        {
          "letter" => fields.text("letter", default: nil)&.slice(0, 3),
          "note" => fields.text("note", default: nil)&.slice(0, 2000),
          "bring" => fields.text("bring", default: nil)&.slice(0, 200),
          "said_length" => fields.text("said_length", default: nil)&.slice(0, 300),
          "said_teachers" => fields.texts("said_teachers", default: nil)&.first(6)&.map { |name| name[0, 80] },
          "called_by" => fields.choice("called_by", %w[counts words], default: nil),
          "learned_way" => fields.choice("learned_way", Core::Learning::Way::NAMES, default: nil),
          "learned_runs" => fields.integer("learned_runs", min: 1, max: 20, default: nil),
          "layered_ladder" => fields.flag("layered_ladder") || nil
        }.compact
      end

      def formation(fields)
        moment = fields.choice("moment", %w[entry exit count])
        Formation.new(
          link: known(fields, "link", link_ids), moment:,
          count: (fields.integer("count", min: 1, max: 4096) if moment == "count"),
          spots: fields.list("spots") { |spot| spot(spot) }
        )
      end

      def spot(fields)
        Spot.new(
          person: known(fields, "person", @people), x: fields.number("x", min: -200, max: 200),
          y: fields.number("y", min: -200, max: 200),
          facing: fields.integer("facing", min: 1, max: 8, default: nil), pinned: fields.flag("pinned")
        )
      end

      def version(fields)
        eights = fields.object("eights", default: {}) do |texts|
          numbers = (1..200).map(&:to_s).select { |number| texts.given?(number) }
          numbers.to_h { |number| [number, texts.text(number)&.slice(0, 1000)] }
        end
        Version.new(section: known(fields, "section", section_ids), kind: fields.choice("kind", VERSIONS), eights:,
                    note: fields.text("note", default: nil)&.slice(0, 200))
      end

      def version_of(fields)
        VersionOf.new(
          kind: fields.choice("kind", VERSIONS), section: known(fields, "section", section_ids, default: nil),
          person: known(fields, "person", @people, default: nil), group: known(fields, "group", @groups, default: nil)
        )
      end

      def agreement(fields)
        Agreement.new(
          join: join(fields), words: fields.text("words", default: "")&.slice(0, 300),
          by: fields.text("by")&.slice(0, 80), day: fields.day("day"), changed: fields.texts("changed") & SIDES
        )
      end

      def join_fact(fields)
        JoinFact.new(join: join(fields), owner: known(fields, "owner", @people, default: nil),
                     note: fields.text("note", default: "")&.slice(0, 500))
      end

      def understudy(fields)
        Understudy.new(person: known(fields, "person", @people), covers: known(fields, "covers", @people))
      end

      def join(fields) = fields.integer("join", min: 1, max: [@work.links.size - 1, 1].max)
      def link_ids = @link_ids ||= @work.links.filter_map { |link| link.id&.to_s }
      def section_ids = @section_ids ||= @work.sections.map { |section| section.id.to_s }

      # An id that has to be one of those.
      def known(fields, name, among, default: Fields::MISSING)
        id = fields.text(name, default:)
        return id if id.nil? || among.include?(id)

        fields.fault(fields.at(name), "names #{Fields.shown(id)}, which is not there")
        nil
      end
    end
    private_constant :Reader
  end
end
