# frozen_string_literal: true

module App
  module Joins
    # How a piece opens or ends, as its form says it.
    module EndsForm
      WORDS = { "opening" => %w[pose starts place], "ending" => %w[picture leaves place held] }.freeze

      module_function

      def fields(which) = [*WORDS.fetch(which), *Records::Section::EDGE.keys]

      def of(piece, which, sent = nil)
        now = fields(which).to_h { |name| [name, piece.setting(which)[name].to_s] }
        Shared::OpenForm.new(now, sent: sent&.slice(*now.keys, "was"))
      end

      def conflicts(form) = form.conflicts.map { |each| [I18n.t("joins.fields.#{each.name}"), each.mine, each.theirs] }
    end
  end
end
