# frozen_string_literal: true

module App
  module Joins
    module Actions
      # "Agreed in the room": the edges as they are now, with words if there are any. The other teacher is told. Taking
      # it back is a further entry; nothing of the history is changed.
      class Agree
        def initialize(piece, standing, params, account, today)
          @piece = piece
          @standing = standing
          @params = params
          @account = account
          @today = today
        end

        def run
          now = Core::Joins::Agreement.of(@standing.held.seam)
          return Shared::Result.no({ words: I18n.t("joins.other_by_now") }) if other_than_seen?(now)

          row =
            @piece.agreements.new(
              studio_id: @piece.studio_id,
              join_key: @standing.join.key,
              kind: @params["withdraw"] ? "withdrawn" : "agreed",
              words: @params["words"].to_s,
              leaving_digest: now.leaving,
              entering_digest: now.entering,
              account_id: @account.id,
              by_name: @account.name,
              day: @today,
              created_at: Shared::Clock.now
            )
          return Shared::Result.no({ words: I18n.t("joins.long_words") }) unless row.valid?

          Records::Piece.transaction do
            row.save!
            @piece.touch
          end
          Shared::Result.ok(tell(row))
        end

        private

        # Whether a side was changed since the page was looked at that this was sent from.
        def other_than_seen?(now)
          !@params["seen"].to_s.empty? && @params["seen"] != "#{now.leaving}-#{now.entering}"
        end

        def tell(row)
          Shared::TellTeachers.new(@piece, @standing.join, except: @account).run(
            row.kind == "agreed" ? "join_agreed" : "join_withdrawn",
            words: row.words,
            by: @account.name
          )
        end
      end
    end
  end
end
