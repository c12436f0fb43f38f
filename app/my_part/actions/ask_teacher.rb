# frozen_string_literal: true

module App
  module MyPart
    module Actions
      # A dancer's question on a section: a note that waits for whoever teaches it.
      class AskTeacher
        MOST = 300

        def initialize(person, link, text)
          @person = person
          @link = link
          @text = text.to_s.strip
        end

        # Value: the Records::Note.
        def run
          return no("question") if @text.empty? || @text.size > MOST
          return no("not_yours") unless dances?

          Shared::Result.ok(known || Records::Note.create!(**row).tap { |note| tell(note) })
        end

        private

        # Whoever teaches the section.
        def tell(note)
          ids = [note.section.choreographer_id, *note.section.section_teachers.map(&:person_id)].compact
          piece.studio.memberships.where(person_id: ids).includes(:account).each do |membership|
            Shared::Post.new(piece.studio).tell(
              membership, topic: "notes", template: "asked", who: @person.name, section: note.section.name,
                          text: note.text, piece: piece.title, link: "#{Settings.app_url}/pieces/#{piece.id}/notes"
            )
          end
        end

        def no(key) = Shared::Result.no({ error: I18n.t("my_part.faults.#{key}") })
        def piece = @link.piece

        def dances?
          snapshot = Reading::PieceSnapshots.of(piece)
          placed = snapshot.work.order.links.find { |each| each.link.id.to_i == @link.id }
          placed && snapshot.items.in_link(placed.index).include?(@person.id)
        end

        # Asked twice, it is asked once.
        def known
          piece.notes.open.find_by(asker_id: @person.id, section_id: @link.section_id, text: @text)
        end

        def row
          now = Shared::Clock.now
          { studio_id: piece.studio_id, piece_id: piece.id, kind: "question", about: "section", text: @text,
            section_id: @link.section_id, link_id: @link.id, asker_id: @person.id, by_name: @person.name,
            said_at: (now.to_f * 1000).to_i, client_id: "asked-#{SecureRandom.hex(12)}", created_at: now }
        end
      end
    end
  end
end
