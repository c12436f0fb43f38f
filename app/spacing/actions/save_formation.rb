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

        # formation: Core::Floor::Formation; version: the lock_version it was made from, 0 where there was none.
        def run(formation, version:)
          Records::Piece.transaction do
            row = @piece.formations.lock.find_by(link_id: @link.id, moment: @moment, count: @count) ||
              @piece.formations.new(studio_id: @piece.studio_id, link_id: @link.id, moment: @moment, count: @count)
            next Shared::Result.no({ base: I18n.t("floor.conflict") }, :conflict) if version != row.lock_version

            row.save! if row.new_record?
            row.touch # a first one is version 1: 0 is a page on which nobody stood yet
            Records::Mapping::Floors.write(row, formation)
            @piece.touch
            Shared::Result.ok(row)
          end
        end

        def remove(version:)
          Records::Piece.transaction do
            row = @piece.formations.lock.find_by(link_id: @link.id, moment: @moment, count: @count)
            next Shared::Result.no({ base: I18n.t("floor.conflict") }, :conflict) if row && version != row.lock_version

            row&.destroy!
            @piece.touch
            Shared::Result.ok
          end
        end
      end
    end
  end
end
