# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Writes where everybody stands at one moment of a link. A repeat that borrowed its formation gets one of its own.
      class SaveFormation
        def initialize(piece, link, moment)
          @piece = piece
          @link = link
          @moment, @count = moment
        end

        # formation: Core::Floor::Formation; version: the lock_version it was made from, nil to write over.
        def run(formation, version: nil)
          Records::Piece.transaction do
            row = @piece.formations.lock.find_by(link_id: @link.id, moment: @moment, count: @count) ||
              @piece.formations.new(studio_id: @piece.studio_id, link_id: @link.id, moment: @moment, count: @count)
            if version && version != row.lock_version
              next Shared::Result.no({ base: I18n.t("floor.conflict") }, :conflict)
            end

            row.new_record? ? row.save! : row.touch
            Records::Mapping::Floors.write(row, formation)
            @piece.touch
            Shared::Result.ok(row)
          end
        end

        def remove
          @piece.formations.where(link_id: @link.id, moment: @moment, count: @count).destroy_all
          @piece.touch
        end
      end
    end
  end
end
