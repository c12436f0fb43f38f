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
        absences
        season
        @piece
      end

      private

      def make_piece
        @piece = @studio.pieces.create!(title: World::WINGS, show_date: @monday + 40, settings: { "full_runs" => 5 })
        Records::Track.create!(studio: @studio, piece: @piece, tempo: World::WINGS_TEMPO, form: World::WINGS_FORM, first_count_seconds: 3.2)
        Actions::ApplyStructure.new(@piece, Actions::ApplyStructure.read(@studio, World::WINGS_LINES)).run
        @piece.reload
      end

      def cast
        World::GROUPS.each_with_index do |(name, names), i|
          people = names.map { |each| @studio.people.create!(name: each) }
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
          (values[:parts] || {}).each { |group, start_offset| section.parts.create!(studio: @studio, group: groups.fetch(group), start_offset:) }
          section.update!(values.except(:parts))
        end
        @piece.reload
        @piece.track.update!(length_seconds: (Records::Mapping::Works.load(@piece).order.end_seconds + 0.4).round(1))
        write_steps
        @piece.touch
        Actions::Revise.new(@piece, @director).record("piece begun")
      end

      def write_steps
        @piece.sections.each do |section|
          section.eights.zip(Steps::SECTIONS.fetch(section.name)).each { |eight, (text, cue)| eight.update!(text:, cue:) }
        end
        seated
        altered = @piece.links.find { |link| link.changes_made.any? }
        Steps::CORRECTIONS.each do |name, list|
          section = @piece.sections.find { |each| each.name == name }
          list.each { |eight, count, text| section.corrections.create!(studio: @studio, eight:, count:, text:, by_name: section.choreographer.name) }
        end
        altered.update!(changes_made: { "replace" => Steps::CHANGES.transform_values { |text| { "counts" => 8, "text" => text } } })
      end

      # One dancer dances seated wherever it is written.
      def seated
        wren = @studio.people.find_by!(name: World::SEATED)
        @piece.sections.each { |section| (eights = Steps::SEATED[section.name]) && section.versions.create!(studio: @studio, kind: "seated", eights:) }
        @piece.version_people.create!(studio: @studio, person: wren, kind: "seated")
      end

      def absences
        away("Finn Tallow", -2, 5)
        away("Suri Bell", 1, 5)
        away("Maro Reed", -4, 1)
        tamsin = @studio.people.find_by!(name: "Tamsin Okell")
        dates = @studio.rehearsals.order(:date).pluck(:date).each_with_index.reject { |_, i| i % 5 == 3 }.map(&:first)
        Actions::SetVisits.new(tamsin, dates.join("\n")).run
      end

      def away(name, week, day, last_week = week)
        person = @studio.people.find_by!(name:)
        person.absences.create!(studio_id: @studio.id, from_date: @monday + (week * 7) + day, to_date: @monday + (last_week * 7) + day)
      end

      # The plan of five weeks ago was told and rehearsed; today's takes it from there.
      def season
        began = @monday - (Builder::WEEKS * 7) - 2
        first = Actions::MakePlan.new(@piece, @director, began.to_time(:utc)).run
        Actions::PublishPlan.new(first, began.to_time(:utc)).run
        History.new(@piece, first, @director, @studio.local(@now)).write
        @piece.reload
        Actions::PublishPlan.new(Actions::MakePlan.new(@piece, @director, @studio.local(@now)).run, @now).run
        @studio.people.find_by!(name: "Ada Quill").person_links.create!(studio_id: @studio.id, token_digest: Records::Token.digest("demo-#{@studio.id}"))
      end
    end
  end
end
