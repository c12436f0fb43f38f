# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Adds entries to the learning log and folds their cells anew, in one transaction.
      class RecordTicks
        MOST = 3000

        # sent: {"cells" => ["person:item", …], "kind", "rung", "client" => a key of the sender's own}.
        def initialize(piece, account, sent, today)
          @piece = piece
          @account = account
          @cells = Array(sent["cells"]).first(MOST).map { |cell| cell.to_s.split(":", 2) }
          @kind = sent["kind"].presence || "danced"
          @rung = Integer(sent["rung"].to_s, exception: false)
          @client = sent["client"].to_s[0, 40]
          @today = today
        end

        # Value: the new state of every cell, as the grid prints it.
        def run
          ladder = Records::Mapping::Learnings.ladder(@piece)
          unless @rung&.between?(1, ladder.top) && Core::Learning::Entry::BY_HAND.include?(@kind)
            return Shared::Result.no({ error: I18n.t("learning.which_rung") })
          end

          keys = known
          return Shared::Result.no({ error: I18n.t("learning.nobody") }) if keys.empty?

          Shared::Result.ok(CellStates.new(@piece, write(keys), @today).to_a)
        end

        private

        # Only cells of somebody who dances that item.
        def known
          items = Reading::PieceSnapshots.of(@piece).items
          dancers = items.all.to_h { |item| [item.key, items.dancers(item).to_set] }
          @cells.map { |person, key| [person.to_i, key] }.select { |person, key| dancers[key]&.include?(person) }.uniq
        end

        def write(keys)
          Records::Mapping::Learnings.append(@piece, keys.map { |person, key| entry(person, key) })
        end

        def entry(person, key)
          {
            studio_id: @piece.studio_id,
            piece_id: @piece.id,
            person_id: person,
            item_key: key,
            kind: @kind,
            rung: @rung,
            account_id: @account.id,
            by_name: @account.name,
            client_id: (@client.empty? ? nil : "#{@client}:#{person}:#{key}"),
            day: @today,
            created_at: Shared::Clock.now
          }
        end
      end
    end
  end
end
