# frozen_string_literal: true

module App
  module Piece
    module Actions
      # A new piece from a title, a date, the music's length and tempo, and its structure in lines.
      class Create
        def initialize(member, params)
          @member = member
          @studio = member.studio
          @params = params
          @facts = TypedFacts.new(params)
          @structure = Reading::TypedStructure.read(@studio, params["structure"], bpm: @facts.bpm)
        end

        def errors
          blocking = Reading::TypedStructure.blocking(@structure)
          {
            **@facts.errors,
            **(blocking.any? ? { structure: I18n.t("structure.mend_first", count: blocking.size) } : {})
          }
        end

        def run
          Records::Piece.transaction do
            piece = @studio.pieces.create!(
              title: @facts.title,
              show_date: @facts.show_date
            )
            Records::Track.create!(
              studio: @studio,
              piece:,
              tempo: [[1, @facts.bpm || 120]],
              length_seconds: @facts.length
            )
            PutRight.new(piece).run { ApplyStructure.new(piece, @structure, teach: Array(@params["teach"])).run }
            Shared::KeepRevision.new(piece.reload, @member.account).record("piece begun")
            piece
          end
        end
      end
    end
  end
end
