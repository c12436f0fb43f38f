# frozen_string_literal: true

module App
  module Demo
    # Paper Boats: a second youth piece, with ten dancers who dance in Ninety Thousand Wings too; planned around it.
    class Boats
      SECTIONS = {
        "Launch" => [
          "walk R L R L, hands fold the paper 5-8",
          "step R, tog, step R, touch; step L, tog, step L, touch",
          "crouch 1 2, set the boat down 3 4, stand up 5-8 both feet",
          "walk R L R L, watch it go 5-8"
        ],
        "Drizzle" => [
          "tap R 1, tap L 2, tap R 3, tap L 4, hold 5-8",
          "step R, touch L, step L, touch R, fingers rain 5-8",
          "quarter turn R on 1 stepping R, L joins 2, x4"
        ],
        "Harbour Wall" => [
          "run R L R L, stop on both feet 5, arms wide 6-8",
          "lean R 1-4, lean L 5-8",
          "grapevine R, grapevine L",
          "sit 1-4, look out 5-8"
        ]
      }.freeze
      PARTS = %w[Nurses Foragers].freeze

      def initialize(studio, director, now, monday)
        @studio = studio
        @director = director
        @now = now
        @monday = monday
      end

      # The piece, its plan told.
      def run
        make
        write_steps
        cast
        plan
        @piece
      end

      private

      def make
        @piece = @studio.pieces.create!(title: World::BOATS, show_date: @monday + 47,
                                        settings: { "full_runs" => 3, "ready_days" => 4 })
        Records::Track.create!(studio: @studio, piece: @piece, tempo: [[1, 104]])
        Piece::Actions::ApplyStructure.new(@piece, Reading::TypedStructure.read(@studio, World::BOATS_LINES)).run
        @piece.reload
      end

      def write_steps
        @piece.sections.each do |section|
          section.eights.zip(SECTIONS.fetch(section.name)).each { |eight, text| eight.update!(text:) }
        end
        @piece.touch
        Shared::KeepRevision.new(@piece, @director).record("piece begun")
      end

      # Five of each of two groups.
      def cast
        PARTS.each_with_index do |name, i|
          people = World::GROUPS.fetch(name).first(5).map { |each| @studio.people.find_by!(name: each) }
          group = @piece.groups.create!(studio: @studio, name: %w[Hulls Sails][i], number: i + 1, leader: people.first)
          people.each do |person|
            Records::Casting.create!(studio: @studio, piece: @piece, person:)
            Records::GroupMember.create!(studio: @studio, group:, person:)
          end
        end
      end

      def plan
        made = Planning::Actions::Make.new(@piece.reload, @director, @studio.local(@now)).run
        Planning::Actions::Publish.new(made, @now).run
      end
    end
  end
end
