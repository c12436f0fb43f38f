# frozen_string_literal: true

module App
  module Joins
    # What a piece's joins are checked for.
    module CheckingForm
      STATES = Core::Piece::Checking::CHOICES.map(&:to_s).freeze

      module_function

      # {state, "steady", "unwritten" => "1" or nil}; sent: the parameters, or nil.
      def of(piece, sent = nil)
        now = STATES.to_h { |state| [state, piece.setting("checked_for").include?(state) ? "1" : nil] }
        now["unwritten"] = piece.setting("steps_written") ? nil : "1"
        now["steady"] = piece.setting("steady_words") ? "1" : nil
        given = sent && now.keys.to_h { |name| [name, sent[name] == "1" ? "1" : nil] }
        Shared::OpenForm.new(now, sent: given && { **given, "was" => sent["was"] })
      end

      def said(value) = I18n.t(value == "1" ? "joins.checking.ticked" : "joins.checking.clear")

      def conflicts(form)
        form.conflicts.map do |each|
          own = %w[steady unwritten].include?(each.name)
          label = I18n.t(own ? "joins.checking.#{each.name}" : "joins.states.#{each.name}")
          [label, *[each.mine, each.theirs].map { |value| said(value) }]
        end
      end
    end
  end
end
