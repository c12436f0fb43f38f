# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # From the top as far as this dancer has it.
      class FromTheTop
        SLOW = "60"
        attr_reader :token, :piece

        def initialize(person, piece, token:)
          @person = person
          @piece = piece
          @token = token
        end

        def title = I18n.t("my_part.top")
        def back = "/my/#{token}"
        def practise? = links.any?
        def links = @links ||= player.from_the_top
        def json = player.json(links, token)
        def lines = []
        def clips = []

        # What to leave out, or mark, at home.
        def cautions
          hazards = links.map(&:section).uniq.flat_map { |section| snapshot.danced.hazards(section) }.uniq
          I18n.t("my_part.at_home").slice(*hazards.map(&:to_sym)).values
        end

        # [[name, whether this person dances it, the eight it goes to where it is not all of it], …].
        def stations
          links.map do |placed|
            far = player.taught(placed).max.to_i
            whole = far >= placed.link.danced.size || !mine?(placed)
            [Shared::PlaceName.link_name(placed), mine?(placed), (far unless whole)]
          end
        end

        # The same as a sound file, slow: as far as they have it.
        def file
          far = player.taught(links.last)
          last = links.last
          to_row = far.max unless far.max.nil? || far.max >= last.link.danced.size || !mine?(last)
          asked = { "from" => "1", "to" => last.index.to_s, "speed" => SLOW }
          Shared::PracticeFile.new(snapshot, asked, to_row:)
        end

        private

        def snapshot = @snapshot ||= Reading::PieceSnapshots.of(piece)
        def player = @player ||= Player.new(piece, snapshot, @person)
        def mine?(placed) = snapshot.items.in_link(placed.index).include?(@person.id)
      end
    end
  end
end
