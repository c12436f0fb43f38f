# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Saves a piece's lines, unless somebody else changed the piece since the form was opened.
      class SaveStructure
        def initialize(piece, params, account)
          @piece = piece
          @params = params
          @account = account
          @structure = Reading::TypedStructure.read(piece.studio, params["structure"], piece:)
        end

        # Value: :conflict, or the path that undoes it.
        def run
          blocking = Reading::TypedStructure.blocking(@structure)
          return Shared::Result.no({ structure: I18n.t("structure.mend_first", count: blocking.size) }) if blocking.any?

          @piece.alone(:editing) do
            if @params["lock_version"].to_i != @piece.lock_version
              next Shared::Result.no({ structure: I18n.t("structure.conflict") }, :conflict)
            end

            Shared::Result.ok(apply)
          end
        end

        private

        def apply
          before = @piece.revisions.maximum(:number)
          PutRight.new(@piece).run { ApplyStructure.new(@piece, @structure, teach: Array(@params["teach"])).run }
          Shared::KeepRevision.new(@piece, @account).record("order and lengths")
          before && "/pieces/#{@piece.id}/revisions/#{before}/restore"
        end
      end
    end
  end
end
