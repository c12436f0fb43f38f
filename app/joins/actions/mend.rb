# frozen_string_literal: true

module App
  module Joins
    module Actions
      # Does a mend that was looked at first. Refused when the piece changed in between. Value: the way to undo it.
      class Mend
        def initialize(piece, shown, params, account, today)
          @piece = piece
          @shown = shown
          @params = params
          @account = account
          @today = today
        end

        def run
          @piece.alone(:editing) do
            if @params["lock_version"].to_i != @piece.lock_version
              next Shared::Result.no({ base: I18n.t("mends.moved_on") })
            end

            before = nil
            Reading::WatchAgreements.around(@piece, @account, @today, items: marked) do
              before = last_revision
              ApplyMend.new(@piece, @shown.work, @shown.after, @account, @today).run(@shown.text)
            end
            Shared::Result.ok("/pieces/#{@piece.id}/revisions/#{before}/restore")
          end
        end

        private

        # What a mend may mark: all that is taught of the sections, and the differences.
        def marked = @piece.learning_states.where("item_key ~ '^[sd]'").distinct.pluck(:item_key)

        # The piece as it was, kept as a revision to come back to.
        def last_revision
          Shared::KeepRevision.new(@piece, @account).record(I18n.t("mends.before_it"))
          @piece.revisions.maximum(:number)
        end
      end
    end
  end
end
