# frozen_string_literal: true

module App
  module Room
    module Actions
      # A run begins: of which kind, from which eight of which link to the end of which. It is kept even where its slot
      # is no more, because a newer plan was told meanwhile: what was danced was danced.
      class BeginRun < RunEntry
        def run
          return :links unless piece
          return :archived if piece.archived?
          return :run unless Core::Running::Kind::NAMES.include?(@sent.text("run_kind"))
          return :links unless link && to

          add(Records::Run, said.merge(facts))
        end

        private

        def piece = @piece ||= slot&.plan&.piece || @sent.row(studio.links, "link")&.piece
        def to = @to ||= @sent.row(piece.links, "to")

        def facts
          { piece_id: piece.id, slot_id: slot&.id, kind: @sent.text("run_kind"), **place.except(:at), to_link_id: to.id,
            speed: (@sent.whole("speed") || 100).clamp(20, 150), music: @sent.flag?("music"),
            minute: @sent.minute || 0 }
        end
      end
    end
  end
end
