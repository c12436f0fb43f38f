# frozen_string_literal: true

module App
  module Demo
    # Makes the demo studio anew, dated around a day. Touches nothing but that studio and its accounts.
    class Builder
      PASSWORD = "walk-right-in"
      WEEKS = 5
      AHEAD = 6

      def initialize(now)
        @now = now
      end

      def run
        Records::Studio.transaction do
          clear
          studio
          team
          rooms_and_rehearsals
          wings = Wings.new(@studio, @director, @now, @monday).run
          Boats.new(@studio, @director, @now, @monday).run
          market
          lanterns
          confirm
          comes
          wings
        end
      end

      private

      # All but a few have said when they come; those who said days said so by that.
      def comes
        silent = @studio.people.dancers.offset(5).limit(5).ids
        @studio.people.where.not(id: silent).update_all(comes_said_on: @studio.today(@now) - 20)
      end

      # How the evenings behind went was said by the assistant; the last one is still to be confirmed on its page.
      def confirm
        behind = @studio.rehearsals.where(date: ...@studio.today(@now)).order(:date)
        behind.where.not(id: behind.last&.id).update_all(confirmed_at: @now, confirmed_by: World::ASSISTANT)
      end

      def clear
        files
        Records::Studio.connection.execute("SET LOCAL joinchain.clearing = 'on'")
        Records::Studio.where(demo: true).delete_all
        Records::Account.where("email LIKE ?", "%@#{World::DOMAIN}").delete_all
      end

      # What was attached goes with the studio.
      def files
        uploads = Records::Upload.where(removed_at: nil, studio_id: Records::Studio.where(demo: true).select(:id)).to_a
        ActiveRecord.after_all_transactions_commit do
          uploads.each { |upload| (upload.kind == "track" ? Shared::TrackFile : Shared::ClipFile).kept(upload).delete }
        end
      end

      def studio
        settings = { "new_eights" => 4, "self_reports" => true, "clips" => true, "words_to_minors" => true }
        @studio = Records::Studio.create!(name: World::STUDIO, demo: true, settings:)
        @monday = @studio.today(@now).beginning_of_week
        World::CHOREOGRAPHERS.each do |name, (tape, initials)|
          @studio.people.create!(name:, tape:, initials:, dances: false, teaches: true, adult: true)
        end
      end

      def team
        digest = BCrypt::Password.create(PASSWORD, cost: BCrypt::Engine::MIN_COST)
        @director = member(World::DIRECTOR, "director", digest)
        @studio.people.choreographers.each { |person| member(person.name, "choreographer", digest, person) }
        member(World::ASSISTANT, "assistant", digest)
      end

      def member(name, role, digest, person = nil)
        account =
          Records::Account.create!(
            name:,
            email: "#{name.split.first.downcase}@#{World::DOMAIN}",
            password_digest: digest
          )
        @studio.memberships.create!(account:, role:, person:)
        account
      end

      # Tuesdays and Saturdays, five weeks back and six ahead.
      def rooms_and_rehearsals
        rooms = World::ROOMS.map { |name, capacity, area| @studio.rooms.create!(name:, capacity:, area:) }
        (-WEEKS...AHEAD).each do |week|
          rehearsal(@monday + (week * 7) + 1, (17 * 60) + 30, (19 * 60) + 30, rooms)
          rehearsal(@monday + (week * 7) + 5, 10 * 60, 13 * 60, rooms)
        end
      end

      def rehearsal(date, from, to, rooms)
        row = @studio.rehearsals.create!(date:, start_minute: from, end_minute: to)
        rooms.each { |room| row.rehearsal_rooms.create!(studio: @studio, room:) }
      end

      # An adult class that is only just split: no music yet, no plan.
      def market
        piece = piece(World::MARKET, World::MARKET_LINES, @monday + 95)
        piece.sections.each do |section|
          section.eights.zip(MarketSteps::SECTIONS.fetch(section.name)) { |eight, text| eight.update!(text:) if text }
        end
        World::MARKET_CAST.each do |name|
          Records::Casting.create!(studio: @studio, piece:, person: @studio.people.create!(name:, adult: true))
        end
      end

      def lanterns
        piece = piece(World::LANTERNS, World::LANTERNS_LINES, @monday - 240)
        piece.update!(archived_at: @now - (200 * 86_400))
      end

      def piece(title, lines, show_date)
        piece = @studio.pieces.create!(title:, show_date:)
        Records::Track.create!(studio: @studio, piece:, tempo: [[1, 116]])
        Piece::Actions::ApplyStructure.new(piece, Reading::TypedStructure.read(@studio, lines)).run
        Shared::KeepRevision.new(piece, @director).record("piece begun")
        piece
      end
    end
  end
end
