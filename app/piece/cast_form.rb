# frozen_string_literal: true

module App
  module Piece
    # The cast table: a row for each dancer, who is in the piece and in which groups.
    module CastForm
      module_function

      # sent: the parameters, or nil for the table as it stands. Groups that the table did not show are left out of it.
      def of(piece, sent = nil)
        shown = sent ? piece.groups.select { |group| Array(sent["groups"]).include?(group.id.to_s) } : piece.groups.to_a
        Shared::OpenForm.new(now(piece, shown), sent: sent && rows(sent))
      end

      # {person id => "in,3,7"}.
      def now(piece, shown)
        members = Records::GroupMember.where(group: shown).pluck(:person_id, :group_id).group_by(&:first)
        cast = piece.castings.pluck(:person_id).to_set
        piece.studio.people.dancers.ids.to_h do |id|
          [id.to_s, row(cast.include?(id) ? ["in", *members.fetch(id, []).map(&:last)] : [])]
        end
      end

      # Whoever is in a group is in the piece.
      def row(values)
        chosen = values.map(&:to_s).reject(&:empty?)
        chosen.empty? ? "" : ["in", *(chosen - ["in"]).sort_by(&:to_i)].join(",")
      end

      def rows(sent)
        cast = sent["cast"].is_a?(Hash) ? sent["cast"] : {}
        { **cast.to_h { |person, values| [person.to_s, row(Array(values))] }, "was" => sent["was"] }
      end

      def conflicts(form, piece)
        people = piece.studio.people.where(id: form.conflicts.map(&:name)).pluck(:id, :name).to_h
        groups = piece.groups.pluck(:id, :name).to_h { |id, name| [id.to_s, name] }
        words = ->(row) { Shared::Lists.all(row.split(",").map { |id| groups.fetch(id, I18n.t("groups.in_piece")) }) }
        form.conflicts.map { |each| [people[each.name.to_i].to_s, words[each.mine], words[each.theirs]] }
      end
    end
  end
end
