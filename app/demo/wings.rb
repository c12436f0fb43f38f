# frozen_string_literal: true

module App
  module Demo
    # Ninety Thousand Wings in mid-season: cast, groups, music, five weeks of rehearsals behind it.
    class Wings
      def initialize(studio, director, now, monday)
        @studio = studio
        @director = director
        @now = now
        @monday = monday
      end

      def run
        make_piece
        cast
        facts
        formations
        ends
        agreements
        absences
        season
        @piece
      end

      private

      def make_piece
        @piece =
          @studio.pieces.create!(
            title: World::WINGS,
            show_date: @monday + 47,
            settings: {
              "full_runs" => 5,
              "cleaning" => 0.15,
              "ready_days" => 7
            }
          )
        Records::Track.create!(
          studio: @studio,
          piece: @piece,
          tempo: World::WINGS_TEMPO,
          form: World::WINGS_FORM,
          first_count_seconds: 3.2
        )
        Piece::Actions::ApplyStructure.new(@piece, Reading::TypedStructure.read(@studio, World::WINGS_LINES)).run
        @piece.reload
      end

      def cast
        World::GROUPS.each_with_index do |(name, names), i|
          band = %w[12_15 16_17][i % 2]
          people = names.map { |each| @studio.people.create!(name: each, band:) }
          group = @piece.groups.create!(studio: @studio, name:, number: i + 1, leader: people.first)
          people.each do |person|
            Records::Casting.create!(studio: @studio, piece: @piece, person:)
            Records::GroupMember.create!(studio: @studio, group:, person:)
          end
        end
      end

      def facts
        groups = @piece.groups.index_by(&:name)
        World::WINGS_FACTS.each do |name, values|
          section = @piece.sections.find_by!(name:)
          (values[:parts] || {}).each do |group, (start_offset, hold_after)|
            section.parts.create!(
              studio: @studio,
              group: groups.fetch(group),
              start_offset:,
              hold_after: hold_after || 0
            )
          end
          section.update!(values.except(:parts))
        end
        @piece.reload
        @piece.track.update!(length_seconds: (Records::Mapping::Works.load(@piece).order.end_seconds + 0.4).round(1))
        write_steps
        @piece.touch
        Shared::KeepRevision.new(@piece, @director).record("piece begun")
      end

      def write_steps
        @piece.sections.each do |section|
          section.eights.zip(Steps::SECTIONS.fetch(section.name))
            .each { |eight, (text, cue)| eight.update!(text:, cue:) }
        end
        seated
        altered = @piece.links.find { |link| link.changes_made.any? }
        Steps::CORRECTIONS.each do |name, list|
          section = @piece.sections.find { |each| each.name == name }
          list.each_with_index do |(eight, count, text), i|
            section.notes.create!(
              studio: @studio, piece: @piece, kind: "correction", about: "section", row: eight,
              at: count && ((count - 1) * Records::Note::TWELFTHS), text:, by_name: section.choreographer.name,
              said_at: (@now.to_f * 1000).to_i, client_id: "watch-#{section.id}-#{i}", created_at: @now
            )
          end
        end
        altered.update!(
          changes_made: {
            "replace" => Steps::CHANGES.transform_values { |text| { "counts" => 8, "text" => text } }
          }
        )
      end

      # One dancer dances seated wherever it is written.
      def seated
        wren = @studio.people.find_by!(name: World::SEATED)
        @piece.sections.each do |section|
          eights = Steps::SEATED[section.name]
          section.versions.create!(studio: @studio, kind: "seated", eights:) if eights
        end
        @piece.version_people.create!(studio: @studio, person: wren, kind: "seated")
      end

      # Joins that were agreed in the room; First Flight's last eight was another one then.
      def agreements
        snapshot = Reading::PieceSnapshots::Snapshot.new(@piece.reload)
        flight = snapshot.work.sections.find { |section| section.name == "First Flight" }
        older =
          Core::Joins::Edit::Row.new(row: flight.rows.size, text: "1 step R 2 step L 3 step R 4 step L 5-8 hold").apply(
            snapshot.work,
            2
          )
        agree(snapshot.review.joins[0], -3, "Breathe in together on 8.")
        agree(Core::Joins::Review.new(older).joins[1], -2, "Hold the picture, then Mirela counts us in.")
        agree(snapshot.review.joins[2], -2, "")
      end

      def agree(held, week, words)
        edges = Core::Joins::Agreement.of(held.seam)
        day = @monday + (week * 7) + 5
        @piece.agreements.create!(
          studio: @studio,
          join_key: held.join.key,
          kind: "agreed",
          words:,
          leaving_digest: edges.leaving,
          entering_digest: edges.entering,
          account_id: @director.id,
          by_name: World::ASSISTANT,
          day:,
          created_at: day.to_time(:utc) + (11 * 3600)
        )
      end

      # Where everybody stands: a huddle that opens, the six walls, four swarms in the corners.
      def formations
        stand(1, "entry", everybody, "cluster", [0, 4.5], spacing: 1.0)
        stand(1, "exit", everybody, "staggered", [0, 4.5], spacing: 1.4, per_line: 7)
        stand(2, "entry", everybody, "staggered", [0, 4.5], spacing: 1.4, per_line: 7)
        stand(4, "entry", members("Nurses", "Builders"), "circle", [0, 4.5], spacing: 1.3)
        swarm = { "Scouts" => [-3.6, 2.2], "Nurses" => [3.6, 2.2], "Builders" => [-3.6, 6.6], "Foragers" => [3.6, 6.6] }
        stand_groups(9, "entry", nil, swarm, "cluster")
        stand_groups(
          9,
          "count",
          41,
          { "Scouts" => [-3.4, 1.8], "Builders" => [3.4, 1.8], "Nurses" => [0, 5], "Foragers" => [0, 7.4] },
          "wedge"
        )
      end

      def everybody = @piece.castings.order(:id).pluck(:person_id)

      def members(*names)
        @piece.groups
          .select { |group| names.include?(group.name) }
          .flat_map { |group| group.group_members.order(:id).pluck(:person_id) }
      end

      def stand(index, moment, people, pattern, middle, count: nil, **how)
        points = Core::Floor::Patterns.points(pattern, people.size, **how)
        write(
          index,
          moment,
          count,
          people.zip(points).to_h { |person, (x, y)| [person, spot(x + middle[0], y + middle[1])] }
        )
      end

      def stand_groups(index, moment, count, places, pattern)
        spots = places.flat_map do |name, (x, y)|
          people = members(name)
          people.zip(Core::Floor::Patterns.points(pattern, people.size, spacing: 1.2))
            .map { |person, (a, b)| [person, spot(a + x, b + y)] }
        end
        write(index, moment, count, spots.to_h)
      end

      def spot(across, deep) = Core::Floor::Spot.new(x: across.round(2), y: deep.round(2))

      def write(index, moment, count, spots)
        row = @piece.formations.create!(studio: @studio, link: @piece.links[index - 1], moment:, count:)
        Records::Mapping::Floors.write(row, Core::Floor::Formation.new(spots:))
      end

      def ends
        opening = {
          "pose" => "A huddle in the middle, backs out, heads down",
          "starts" => "One breath, before any music",
          "place" => "centre",
          "level" => "standing",
          "facing" => 1
        }
        ending = {
          "picture" => "Everybody open to the queen",
          "held" => 4,
          "leaves" => "In the dark, Scouts and Builders left, the others right",
          "facing" => 1
        }
        @piece.update!(settings: @piece.settings.merge("opening" => opening, "ending" => ending))
      end

      def absences
        away("Finn Tallow", -2, 5)
        away("Suri Bell", 1, 5)
        away("Maro Reed", -4, 1)
        tamsin = @studio.people.find_by!(name: "Tamsin Okell")
        dates = @studio.rehearsals.order(:date).pluck(:date).each_with_index.reject { |_, i| i % 5 == 3 }.map(&:first)
        People::Actions::SetVisits.new(tamsin, dates.join("\n"), "{}").run
      end

      def away(name, week, day, last_week = week)
        person = @studio.people.find_by!(name:)
        person.absences.create!(
          studio_id: @studio.id,
          from_date: @monday + (week * 7) + day,
          to_date: @monday + (last_week * 7) + day
        )
      end

      # The plan of five weeks ago was told and rehearsed; today's keeps what still stands of it.
      def season
        began = @monday - (Builder::WEEKS * 7) - 2
        first = Planning::Actions::Make.new(@piece, @director, began.to_time(:utc)).run
        Planning::Actions::Publish.new(first, began.to_time(:utc)).run
        History.new(@piece, first, @director, @studio.local(@now)).write
        SignOffs.new(@piece, @director, @studio.local(@now)).write
        Evening.new(@piece, @director, @studio.local(@now)).write
        Runs.new(@piece, @studio.memberships.find_by!(account: @director), @studio.local(@now)).write
        @piece.reload
        Planning::Actions::Publish.new(
          planned_again,
          @now
        ).run
        @studio.people.find_by!(name: "Ada Quill").person_links
          .create!(studio_id: @studio.id, token_digest: Records::Token.digest("demo-#{@studio.id}"))
      end

      # The next days too: five weeks went otherwise than they were told.
      def planned_again
        now = @studio.local(@now)
        draft = Reading::PlanDraft.new(@piece, now, soon: true)
        Planning::Actions::Make.new(@piece, @director, now, way: "repair", draft:).run
      end
    end
  end
end
