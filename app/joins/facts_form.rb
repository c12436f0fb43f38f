# frozen_string_literal: true

module App
  module Joins
    # Whose a join is, and the note on it.
    module FactsForm
      module_function

      def of(piece, join, sent = nil)
        row = piece.join_facts.find_by(join_key: join.key)
        Shared::OpenForm.new(
          { "owner" => row&.owner_id, "note" => row&.note },
          sent: sent&.slice("owner", "note", "was")
        )
      end

      def conflicts(form, piece)
        people = piece.studio.people.choreographers.pluck(:id, :name).to_h { |id, name| [id.to_s, name] }
        form.conflicts.map do |each|
          [I18n.t("joins.fields.#{each.name}"), *[each.mine, each.theirs].map { |value| people.fetch(value, value) }]
        end
      end
    end
  end
end
