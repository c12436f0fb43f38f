# frozen_string_literal: true

module App
  module Room
    module Actions
      # A note as it comes up: where it came up is kept with it.
      class KeepNote < Entry
        def run
          return :slot unless slot

          note = Records::Note.add_once(said.merge(place).merge(about)) or return :duplicate

          Runs::Actions::WriteDanced.new(note.run, @member, @now).run if note.run && note.about == "person"
          :stored
        end

        private

        def piece = slot.plan.piece

        def place
          text = @sent.text("text")[0, Records::Note::MOST]
          { piece_id: piece.id, slot_id: slot.id, kind: @sent.text("note"), text:, link_id: link&.id,
            row: @sent.whole("row"), at: @sent.whole("twelfths") }
        end

        # The device says it by its place in the running order.
        def link
          place = @sent.whole("link")
          piece.links[place - 1] if place&.positive?
        end

        # What it is about: of the piece where nothing closer was said.
        def about
          section = @sent.row(piece.sections, "section")
          group = @sent.row(piece.groups, "group")
          wanted = @sent.text("about")
          here = { "section" => section, "join" => link, "group" => group, "person" => @sent.person }
          { about: here[wanted] ? wanted : "piece", section_id: section&.id, group_id: group&.id,
            person_id: @sent.person&.id, run_id: of_run&.id }
        end

        # The run in which it came up.
        def of_run
          key = @sent.text("run")
          piece.runs.find_by(client_id: key) unless key.empty?
        end
      end
    end
  end
end
