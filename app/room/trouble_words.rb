# frozen_string_literal: true

module App
  module Room
    # What a device said of a trouble spot: its kind, and whose it was.
    module TroubleWords
      module_function

      # {kind:, group:, people:, everyone:, at:, by:} of a Sent; people: ids, newcomers by their key.
      def of(sent, piece)
        {
          kind: sent.text("kind_of").presence, group: sent.row(piece.groups, "group"), people: people(sent),
          everyone: sent.flag?("everyone"), at: sent.said_at, by: sent.client
        }
      end

      def people(sent)
        named = sent.text("people").split.first(60)
        keys, ids = named.partition { |one| one.start_with?("c:") }
        keys = keys.map { |key| key.delete_prefix("c:") }
        rows = sent.studio.people
        rows.where(client_id: keys).ids | rows.where(id: ids.map(&:to_i)).ids
      end
    end
  end
end
