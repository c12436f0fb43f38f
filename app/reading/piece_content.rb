# frozen_string_literal: true

module App
  module Reading
    # A whole piece as its file says it: ids of its own ("s1", "l1", "g1", "p1"), so that the same piece is the same
    # file wherever it stands. What people have learned and when they rehearse is not of the piece, and not in it.
    class PieceContent
      PieceFormat = Formats::PieceFile
      private_constant :PieceFormat

      def initialize(piece)
        @piece = piece
        @snapshot = PieceSnapshots.of(piece)
      end

      # Formats::PieceFile::Content.
      def content
        PieceFormat::Content.new(
          work: ids.renamed(@snapshot.work), show_date: @piece.show_date,
          settings: @piece.settings.slice(*kept_settings), people: named, leaders:, cast:,
          section_facts: sections.to_h { |row| [ids.section(row.id), facts(row)] },
          formations:, **versions, **joins, understudies:
        )
      end

      # {id in the file => Records::Person}
      def rows_of_people = people.to_h { |person| [ids.person(person.id), person] }

      private

      def groups = @groups ||= @piece.groups.to_a
      def sections = @sections ||= @piece.sections.to_a
      def ids = @ids ||= PieceIds.new(@snapshot.work, people)
      def order_of(id) = id.delete_prefix("p").to_i
      def kept_settings = Records::Piece::DEFAULTS.keys

      # Those the piece is about, in a fixed order: teachers, then dancers, by name.
      def people
        @people ||= @piece.studio.people.where(id: people_ids).sort_by do |person|
          [person.teaches ? 0 : 1, person.name, person.id]
        end
      end

      def people_ids
        [
          *@snapshot.cast.keys, *groups.map(&:leader_id), *@snapshot.work.sections.flat_map(&:teachers),
          *rows(:formations).flat_map { |row| row.spots.map(&:person_id) }, *rows(:version_people).map(&:person_id),
          *rows(:join_facts).map(&:owner_id), *rows(:understudies).flat_map do |row|
                                                [row.person_id, row.covers_person_id]
                                              end
        ].compact.uniq
      end

      def rows(name)
        @rows ||= {
          formations: @piece.formations.includes(:spots).order(:id).to_a,
          version_people: @piece.version_people.order(:id).to_a,
          join_facts: @piece.join_facts.order(:id).to_a, understudies: @piece.understudies.order(:id).to_a
        }
        @rows.fetch(name)
      end

      def named
        people.map do |person|
          PieceFormat::Person.new(
            id: ids.person(person.id), name: person.name, dances: person.dances, teaches: person.teaches,
            adult: person.adult, tape: person.tape, initials: person.initials
          )
        end
      end

      def leaders = groups.to_h { |row| [ids.group(row.id), ids.person(row.leader_id)] }.compact

      def cast
        found = @snapshot.cast.map { |id, own| [ids.person(id), own.map { |group| ids.group(group) }] }
        found.sort_by { |id, _| order_of(id) }.to_h { |id, own| [id, own.sort_by { |group| group[1..].to_i }] }
      end

      def facts(row)
        { "letter" => row.letter, "note" => row.note, "bring" => row.bring, "said_length" => row.said_length,
          "said_teachers" => row.said_teachers,
          "called_by" => (row.called_by unless row.called_by == "counts"), "learned_way" => row.learned_way,
          "learned_runs" => row.learned_runs, "layered_ladder" => row.layered_ladder || nil }.compact_blank
      end

      def formations
        found = rows(:formations).map do |row|
          PieceFormat::Formation.new(link: ids.link(row.link_id), moment: row.moment, count: row.count,
                                     spots: spots(row))
        end
        found.sort_by { |each| [each.link[1..].to_i, %w[entry count exit].index(each.moment), each.count.to_i] }
      end

      def spots(row)
        found = row.spots.map do |spot|
          PieceFormat::Spot.new(
            person: ids.person(spot.person_id), x: plain(spot.x), y: plain(spot.y), facing: spot.facing,
            pinned: spot.pinned
          )
        end
        found.sort_by { |spot| order_of(spot.person) }
      end

      # Metres as they are written: whole where they are whole.
      def plain(metres) = metres.to_i == metres ? metres.to_i : metres.to_f

      def versions
        all = Records::Version.where(studio_id: @piece.studio_id, section_id: sections.map(&:id)).map do |row|
          PieceFormat::Version.new(section: ids.section(row.section_id), kind: row.kind, eights: row.eights,
                                   note: row.note)
        end
        { versions: all.sort_by { |each| [each.section[1..].to_i, each.kind] }, version_people: }
      end

      def version_people
        found = rows(:version_people).map do |row|
          PieceFormat::VersionOf.new(
            kind: row.kind, section: ids.section(row.section_id), person: ids.person(row.person_id),
            group: ids.group(row.group_id)
          )
        end
        found.sort_by { |each| each.to_a.map(&:to_s) }
      end

      # What stands agreed of joins, by the first place of each; and what the director says of them.
      def joins
        first = @snapshot.standings.uniq { |standing| standing.join.key }
        agreed = first.filter_map { |standing| agreement(standing) }
        facts = first.filter_map do |standing|
          row = @snapshot.join_facts[standing.join.key] or next
          PieceFormat::JoinFact.new(join: standing.index, owner: ids.person(row.owner_id), note: row.note)
        end
        { agreements: agreed, join_facts: facts }
      end

      def agreement(standing)
        row = standing.agreement or return
        PieceFormat::Agreement.new(join: standing.index, words: row.words, by: row.by_name, day: row.day,
                                   changed: standing.changed.map(&:to_s))
      end

      def understudies
        found = rows(:understudies).map do |row|
          PieceFormat::Understudy.new(person: ids.person(row.person_id), covers: ids.person(row.covers_person_id))
        end
        found.sort_by { |each| [order_of(each.person), order_of(each.covers)] }
      end
    end
  end
end
