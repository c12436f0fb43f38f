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
          @facts = TypedFacts.new(params)
          @tempo = TempoLines.new(params["tempo"])
          @form = FormLines.new(params["form"])
        end

        def run
          return Shared::Result.no(errors) if errors.any?

          told = @params["cut"] ? cut.told : []
          Records::Piece.transaction do
            @piece.update!(title: @facts.title, show_date: @facts.show_date)
            track = @piece.track || Records::Track.new(studio: @piece.studio, piece: @piece)
            track.update!(
              tempo: @tempo.changes,
              form: @form.parts,
              first_count_seconds: first_count,
              length_seconds: @facts.length
            )
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record("music")
          end
          Shared::Result.ok(tell(told))
        end

        # What these facts would do to the piece, before they are saved.
        def cut = Core::Piece::NewCut.new(Records::Mapping::Works.load(@piece), cut_track)
        def faults = errors

        def cut_track
          Core::Music::Track.new(
            tempo: @tempo.changes,
            first_count_seconds: first_count,
            length_seconds: @facts.length&.to_f,
            form: @form.parts
          )
        end

        private

        # Choreographers who sign in get a mail; the others are named on the page. How many were told.
        def tell(ids)
          @piece.studio.memberships.where(person_id: ids).includes(:account).each do |membership|
            Shared::Post.new(@piece.studio).send_out(
              to: membership.account.email,
              template: "new_cut",
              piece: @piece.title,
              link: "#{Settings.app_url}/pieces/#{@piece.id}/music",
              name: membership.account.name
            )
          end.size
        end

        def errors
          @errors ||= {
            **@facts.errors,
            tempo: @tempo.error,
            form: @form.error,
            first_count: (I18n.t("music.faults.first_count") unless first_count&.between?(-60, 600))
          }.compact
        end

        def first_count
          @params["first_count"].to_s.strip.empty? ? 0.0 : Float(@params["first_count"].strip, exception: false)
        end
      end
    end
  end
end
