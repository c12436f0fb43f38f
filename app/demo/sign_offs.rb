# frozen_string_literal: true

module App
  module Demo
    # What is learned beside the ladder: what teachers have signed off (all but what came last), two understudies with
    # what they have of the parts they cover, who was ticked on the spots, and what one dancer reports.
    class SignOffs
      COVERS = { "Finn Tallow" => "Ada Quill", "Zola Mead" => "Hal Brook" }.freeze
      REPORTS = "Jory Swift"
      # Items signed off from the beginning of the piece, and of them those that were ticked on their spots, too.
      SIGNED = 7
      ON_SPOTS = 3

      def initialize(piece, account, now)
        @piece = piece
        @account = account
        @now = now
      end

      def write
        name_covers
        Records::Mapping::Learnings.append(@piece, [*signed, *on_spots, *covered, report].compact)
      end

      private

      def snapshot = @snapshot ||= Reading::PieceSnapshots.of(@piece)
      def taught = @taught ||= snapshot.items.all.reject { |item| %i[opening ending].include?(item.kind) }
      def person(name) = snapshot.people.values.find { |each| each.name == name }.id

      def name_covers
        COVERS.each do |cover, part|
          @piece.understudies.create!(studio_id: @piece.studio_id, person_id: person(cover),
                                      covers_person_id: person(part), created_at: @now)
        end
      end

      def signed
        taught.first(SIGNED).flat_map do |item|
          have = snapshot.items.dancers(item).select { |id| snapshot.progress.learned?(id, item.key) }
          have.map { |id| line(id, item, "signed_off", snapshot.progress.rung(id, item.key), 2) }
        end
      end

      def on_spots
        taught.first(ON_SPOTS).flat_map do |item|
          snapshot.items.dancers(item).map { |id| line(id, item, "danced", 2 + (id % 3), 4, track: "ensemble") }
        end
      end

      def covered
        COVERS.flat_map do |cover, part|
          snapshot.items.for(person(part)).select { |item| item.kind == :section }.first(3).map do |item|
            line(person(cover), item, "danced", 4, 5, track: "cover", covers_person_id: person(part))
          end
        end
      end

      def report
        item = taught.find { |each| each.kind == :section && open?(each) }
        item && line(person(REPORTS), item, "self_reported", 4, 1)
      end

      def open?(item)
        snapshot.items.dancers(item).include?(person(REPORTS)) &&
          !snapshot.progress.learned?(person(REPORTS), item.key)
      end

      def line(person_id, item, kind, rung, days_ago, **strand)
        Shared::LogLine.of(@piece, @account, @now.to_date - days_ago).merge(
          person_id:, item_key: item.key, kind:, rung:, **strand
        )
      end
    end
  end
end
