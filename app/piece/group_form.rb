# frozen_string_literal: true

module App
  module Piece
    # A group's name and leader.
    module GroupForm
      module_function

      def of(group, sent = nil)
        now = { "name" => group.name_in_database.to_s, "leader" => group.leader_id_in_database }
        Shared::OpenForm.new(now, sent: sent&.slice("name", "leader", "was"))
      end

      def conflicts(form, group)
        people = group.studio.people.pluck(:id, :name).to_h { |id, name| [id.to_s, name] }
        form.conflicts.map do |each|
          [I18n.t("groups.fields.#{each.name}"), *[each.mine, each.theirs].map { |value| people.fetch(value, value) }]
        end
      end
    end
  end
end
