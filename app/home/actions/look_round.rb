# frozen_string_literal: true

module App
  module Home
    module Actions
      # A sample piece in one's own studio, to look round first: sections, steps and joins of a made-up piece, with
      # nobody in it. It is in no list of what runs, so in no call, calendar, mail or figure; one tap takes it away with
      # all that was tried in it.
      class LookRound
        def initialize(studio, account, now)
          @studio = studio
          @account = account
          @now = now
        end

        # The sample piece there is, or a new one.
        def run = @studio.alone(:editing) { @studio.pieces.samples.first || make }

        # Gone, with what was written in it.
        def take_away
          @studio.alone(:editing) do
            connection.execute("SET LOCAL joinchain.clearing = 'on'")
            @studio.pieces.samples.delete_all
            connection.execute("SET LOCAL joinchain.clearing = 'off'")
          end
        end

        private

        # What is only added to may go with a sample.
        def connection = Records::Base.connection

        def make
          piece = @studio.pieces.create!(
            title: Demo::World::MARKET, show_date: @studio.today(@now) + 95, sample: true
          )
          Records::Track.create!(studio: @studio, piece:, tempo: [[1, 116]])
          lines = Reading::TypedStructure.read(@studio, Demo::World::MARKET_LINES)
          Piece::Actions::ApplyStructure.new(piece, lines).run
          write(piece)
          Shared::KeepRevision.new(piece, @account).record("a sample to look round")
          piece
        end

        def write(piece)
          piece.sections.reload.each do |section|
            texts = Demo::MarketSteps::SECTIONS.fetch(section.name, [])
            section.eights.zip(texts) { |eight, text| eight.update!(text:) if text }
          end
        end
      end
    end
  end
end
