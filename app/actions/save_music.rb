# frozen_string_literal: true

module App
  module Actions
    # The track of a piece: title and dates of the piece beside length, first count, tempi and form as typed.
    class SaveMusic
      def initialize(piece, params, account)
        @piece = piece
        @params = params
        @account = account
        @facts = PieceFacts.new(params)
        @tempo = TempoLines.new(params["tempo"])
        @form = FormLines.new(params["form"])
      end

      def run
        return Result.no(errors) if errors.any?

        Records::Piece.transaction do
          @piece.update!(title: @facts.title, show_date: @facts.show_date)
          track = @piece.track || Records::Track.new(studio: @piece.studio, piece: @piece)
          track.update!(tempo: @tempo.changes, form: @form.parts, first_count_seconds: first_count, length_seconds: @facts.length)
          @piece.touch
          Revise.new(@piece, @account).record("music")
        end
        Result.ok
      end

      private

      def errors
        @errors ||= { **@facts.errors, tempo: @tempo.error, form: @form.error,
                      first_count: (I18n.t("music.faults.first_count") unless first_count&.between?(-60, 600)) }.compact
      end

      def first_count = @params["first_count"].to_s.strip.empty? ? 0.0 : Float(@params["first_count"].strip, exception: false)
    end
  end
end
