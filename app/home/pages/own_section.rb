# frozen_string_literal: true

module App
  module Home
    module Pages
      # One section of whoever teaches it: what is left, who has it, what its neighbours end and start with, its joins.
      class OwnSection
        attr_reader :section

        # page: PieceCard of its piece; section: Core::Piece::Section; reached: eights taught so far.
        def initialize(page, section, reached:)
          @page = page
          @section = section
          @reached = reached
        end

        def name = section.name
        def piece_title = @page.title
        def piece_id = @page.piece.id
        def path = @page.path("/steps?section=#{section.id}")
        def grid_path = placed ? @page.path("/who-has-it?at=#{placed.index}") : @page.path("/who-has-it")
        def tape = @page.tape(section)
        def placed = @placed ||= @page.order.links.find { |link| link.section.id == section.id }

        # "5 of 6 eights taught, about 10 minutes left"; nil where it is known already.
        def left
          return if section.known

          eights = section.rows.size
          return I18n.t("home.taught", count: eights) if @reached >= eights

          minutes = (@page.lesson(section).minutes * (eights - @reached).fdiv([eights, 1].max)).ceil
          I18n.t("home.left", reached: @reached, of: eights, minutes:)
        end

        # "9 of 26 have it"
        def have
          return unless item

          people = @page.items.dancers(item)
          I18n.t("home.have", have: people.count { |id| @page.progress.learned?(id, item.key) }, of: people.size)
        end

        # Questions dancers asked of it that nobody has answered.
        def asked = @asked ||= @page.piece.notes.open.where(section_id: section.id).where.not(asker_id: nil).count
        def notes_path = @page.path("/notes")

        # How the link before it ends, in words; nil at the beginning.
        def before
          link = placed && placed.index > 1 && @page.order.links[placed.index - 2]
          [link.name, Shared::Wording.body(@page.snapshot.danced.walk(link.link).exit).presence] if link
        end

        # How the link after it starts.
        def after
          link = placed && @page.order.links[placed.index]
          [link.name, Shared::Wording.body(@page.snapshot.danced.walk(link.link).entry).presence] if link
        end

        # Reading::JoinStanding of the joins on its two sides that are this member's, settled ones left out.
        def joins
          @page.standings.select { |standing| beside?(standing.join) && !standing.settled? }
        end

        private

        def item = placed && @page.items.of_link(placed.index)
        def beside?(join) = [join.leaving, join.entering].any? { |link| link.section.id == section.id }
      end
    end
  end
end
