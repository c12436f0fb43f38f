# frozen_string_literal: true

module App
  module Room
    module Actions
      # A note as it comes up: where it came up is kept with it.
      class KeepNote < Entry
        def run
          return :duplicate if studio.notes.exists?(client_id: @sent.client)
          return :slot unless slot

          studio.notes.create!(said.merge(place).merge(about))
          :stored
        end

        private

        def piece = slot.plan.piece

        def place
          text = @sent.text("text")[0, Records::Note::MOST]
          { piece_id: piece.id, slot_id: slot.id, kind: @sent.text("note"), text:, link: @sent.whole("link"),
            row: @sent.whole("row"), at: @sent.whole("twelfths") }
        end

        # What it is about: of the piece where nothing closer was said.
        def about
          section = @sent.row(piece.sections, "section")
          group = @sent.row(piece.groups, "group")
          wanted = @sent.text("about")
          here = { "section" => section, "join" => @sent.whole("link"), "group" => group, "person" => @sent.person }
          { about: here[wanted] ? wanted : "piece", section_id: section&.id, group_id: group&.id,
            person_id: @sent.person&.id }
        end
      end
    end
  end
end
