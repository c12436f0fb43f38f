# frozen_string_literal: true

module App
  module Piece
    module Actions
      # The track of a piece: title and dates of the piece beside length, first count, tempi and form as typed.
      class SaveMusic
        def initialize(piece, params, account)
          @piece = piece
          @params = params
          @account = account
          read
        end

        attr_reader :form

        # Value: how many were told; where something is wrong, the form as it was sent.
        def run
          count = 0
          result =
            Shared::SaveForm.run(@piece, -> { read }) do
              next errors if errors.any?

              told = @params["cut"] ? cut.told : []
              save
              count = tell(told)
              nil
            end
          result.ok? ? Shared::Result.ok(count) : result
        end

        # What these facts would do to the piece, before they are saved.
        def cut = Core::Piece::NewCut.new(Records::Mapping::Works.load(@piece), cut_track)
        def faults = errors

        def cut_track
          Core::Music::Track.new(
            tempo: @tempo.changes,
            first_count_seconds: first_count,
            length_seconds: @facts.length&.to_f,
            form: @parts.parts
          )
        end

        private

        def read
          @form = MusicForm.of(@piece, @params)
          given = @form.merged
          @facts = TypedFacts.new(given)
          @tempo = TempoLines.new(given["tempo"])
          @parts = FormLines.new(given["form"])
          @first_count = given["first_count"].to_s
          @errors = nil
          @form
        end

        # What was not touched keeps what it holds, which may be more exact than what its field shows.
        def save
          @piece.update!({ title: @facts.title, show_date: @facts.show_date }.slice(*touched(:title, :show_date)))
          count_in if form.touched.include?("count_in")
          track = @piece.track || Records::Track.new(studio: @piece.studio, piece: @piece)
          track.update!(track_facts.slice(*track_fields(track)))
          @piece.touch
          Shared::KeepRevision.new(@piece, @account).record("music")
        end

        # One of those there are; anything else leaves it as it is.
        def count_in
          chosen = Core::Music::StartPoint::COUNT_INS.find { |counts| counts.to_s == form.merged["count_in"] } or return
          @piece.update!(settings: @piece.settings.merge("count_in" => chosen))
        end

        def track_facts
          {
            tempo: @tempo.changes,
            form: @parts.parts,
            first_count_seconds: first_count,
            length_seconds: @facts.length
          }
        end

        def track_fields(track)
          return track_facts.keys if track.new_record?

          fields = { tempo: "tempo", form: "form", first_count_seconds: "first_count", length_seconds: "length" }
          fields.select { |_, name| form.touched.include?(name) }.keys
        end

        def touched(*names) = names.select { |name| form.touched.include?(name.to_s) }

        # Choreographers who sign in get a mail; the others are named on the page. How many were told.
        def tell(ids)
          @piece.studio.memberships.where(person_id: ids).includes(:account).each do |membership|
            Shared::Post.new(@piece.studio).tell(
              membership,
              topic: "steps",
              template: "new_cut",
              piece: @piece.title,
              link: "#{Settings.app_url}/pieces/#{@piece.id}/music"
            )
          end.size
        end

        def errors
          @errors ||= {
            **@facts.errors,
            tempo: @tempo.error,
            form: @parts.error,
            first_count: (I18n.t("music.faults.first_count") unless first_count&.between?(-60, 600))
          }.compact
        end

        def first_count
          @first_count.strip.empty? ? 0.0 : Float(@first_count.strip, exception: false)
        end
      end
    end
  end
end
