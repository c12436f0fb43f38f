# frozen_string_literal: true

module App
  module Piece
    # Who teaches which section, as a share-out proposes it.
    module SharingForm
      module_function

      # {section id => teacher's id}; sent: the parameters, or nil.
      def of(piece, sent = nil)
        now = piece.sections.reload.to_h { |section| [section.id.to_s, section.choreographer_id] }
        taught = sent && (sent["taught"].is_a?(Hash) ? sent["taught"].slice(*now.keys) : {})
        Shared::OpenForm.new(now, sent: taught && { **taught, "was" => sent["was"] })
      end
    end
  end
end
