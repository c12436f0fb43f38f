# frozen_string_literal: true

module App
  module Planning
    module Changes
      # A repeat that is danced as it was taught, without its changes. What they were stays in the piece's history.
      class Plain < Change
        def valid? = !link.nil?

        def work(work)
          work.with(links: work.links.map { |each| each.id == link.id ? each.with(changes: plain) : each })
        end

        private

        # A link whose changes leave its length as it is, and whose section is danced elsewhere too.
        def link
          @link ||= @piece.links.find_by(id: id("link"))&.then do |row|
            row if row.changes_made.keys == ["replace"] && @piece.links.where(section_id: row.section_id).many?
          end
        end

        def plain = Core::Piece::Changes::NONE
        def position = @piece.links.where(position: ..link.position).count
        def words = { name: link.called.presence || link.section.name, number: position }

        def accept
          said = text
          link.update!(changes_made: {})
          Shared::KeepRevision.new(@piece.reload, @account).record(said)
        end
      end
    end
  end
end
