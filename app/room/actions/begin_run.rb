# frozen_string_literal: true

module App
  module Room
    module Actions
      # A run begins: of which kind, from which eight of which link to the end of which.
      class BeginRun < RunEntry
        def run
          return :slot unless slot
          return :archived if piece.archived?
          return :run unless Core::Running::Kind::NAMES.include?(@sent.text("run_kind"))
          return :links unless link && to

          add(Records::Run, said.merge(facts))
        end

        private

        def piece = slot.plan.piece
        def to = @to ||= @sent.row(piece.links, "to")

        def facts
          { piece_id: piece.id, slot_id: slot.id, kind: @sent.text("run_kind"), **place.except(:at), to_link_id: to.id,
            speed: (@sent.whole("speed") || 100).clamp(20, 150), music: @sent.flag?("music"),
            minute: @sent.minute || 0 }
        end
      end
    end
  end
end
