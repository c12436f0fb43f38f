# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # One link as one dancer dances it, eight by eight, with what comes before and after, where they stand, and what
      # they are asked to watch for.
      class MyLink
        # number; text: as it is danced by this person; cue; taught: whether they were shown it.
        OwnEight = Struct.new(:number, :text, :cue, :taught, keyword_init: true)

        attr_reader :person, :token, :piece

        delegate :section, to: :placed

        # link: Records::Link.
        def initialize(person, link, now, token:, guardian: false)
          @person = person
          @link = link
          @piece = link.piece
          @now = now
          @token = token
          @guardian = guardian
        end

        def title = Shared::PlaceName.link_name(placed)
        def back = "/my/#{token}"
        def guardian? = @guardian
        def placed = @placed ||= order.links.find { |each| each.link.id.to_i == @link.id }
        def dances? = items.in_link(placed.index).include?(person.id)
        def echo = (I18n.t("echo.marks.#{placed.echo}") unless placed.echo == :first)
        def at = Formats::Times.length(placed.start_seconds)

        # [OwnEight], eight by eight.
        def lines
          own.danced.each_with_index.map do |danced, i|
            row = danced.row
            OwnEight.new(number: i + 1, text: row.text, cue: [row.name, row.cue].reject(&:empty?).join(", "),
                         taught: taught.cover?(i + 1))
          end
        end

        def version_name = version && I18n.t("versions.#{version}").downcase

        # How it is begun, how it is ended, and what comes before and after.
        # How it begins and ends; nothing is said of an edge that has no words.
        def begins = edge_words(placed.link.begin_written?, &:entry)
        def ends = edge_words(placed.link.end_written?, &:exit)
        def before = placed.index > 1 ? order.links[placed.index - 2] : nil
        def after = order.links[placed.index]

        # Whether this person dances the link before or after.
        def in?(other) = items.in_link(other.index).include?(person.id)

        # "2.0 m to the left of the middle, 3.5 m from the front", or nil where no spot is known.
        def spot = (place = standing[person.id]) && spot_words(place)

        # "4.2 m from where the link before leaves you", or nil.
        def way
          from = placed.index > 1 && snapshot.stage.leaving(placed.index - 1).spots[person.id]
          to = standing[person.id]
          I18n.t("my_part.way", metres: format("%.1f", from.distance(to))) if from && to && from.distance(to) >= 0.1
        end

        def floor = @floor ||= FloorPicture.new(standing, person.id, piece.setting("floor"))
        def spots? = standing.key?(person.id)

        # What to watch for: of the section, and what was noted for this person alone.
        def corrections
          rows = @piece.notes.corrections.where(section_id: section.id).map { |note| [note.place, note.text] }
          rows + MyPiece.new(piece, person, @now.to_date).notes.select { |note| note.section_id == section.id }
            .map { |note| [note.place, note.text] }
        end

        # Questions this person asked here, with their answers.
        def questions = piece.notes.standing.where(asker_id: person.id, section_id: section.id).order(:id)

        # Whether a clip of this can be sent to be reviewed, and the one that waits.
        def reviews? = !guardian? && piece.studio.setting("clips") && !Reading::ReviewItem.of(@link, person).nil?

        def review
          ids = piece.studio.clip_people.where(person_id: person.id).select(:upload_id)
          piece.uploads.reviews.find_by(section_id: section.id, id: ids)
        end

        # What to leave out, or mark, at home.
        def cautions
          I18n.t("my_part.at_home").slice(*snapshot.danced.hazards(section).map(&:to_sym)).values
        end

        def clips
          MyPiece.new(piece, person, @now.to_date).clips.select { |clip| clip.section_id == section.id }
        end

        def practise? = taught.any?

        # What the player needs, as the room's caller has it.
        def json = player.json([placed], token)

        private

        def snapshot = @snapshot ||= Reading::PieceSnapshots.of(piece)
        def work = snapshot.work
        def order = work.order
        def items = snapshot.items
        def standing = @standing ||= snapshot.stage.entering(placed.index).spots

        # The link as this person's group dances it, in their version.
        def own
          @own ||= begin
            link = group ? placed.link.of_group(group) : placed.link
            version ? link.with(section: written.of(link.section)) : link
          end
        end

        def group = snapshot.cast.fetch(person.id, []).find { |id| section.own_groups.include?(id) }

        def version
          given = Reading::VersionLines.dancers(piece).fetch(person.id, {})
          @version ||= (given[section.id] || given[nil]).then { |kind| kind if versions.key?(kind) }
        end

        def versions = @versions ||= Reading::VersionLines.of(piece)[:versions].fetch(section.id, {})
        def written = versions.fetch(version)

        def player = @player ||= Player.new(piece, snapshot, person)
        def taught = @taught ||= player.taught(placed)

        def edge_words(written)
          return I18n.t("my_part.no_words") unless written

          Shared::Wording.ending(yield(snapshot.danced.walk(placed.link))).join(", ")
        end

        def spot_words(place)
          side = if place.x.abs < 0.05
                   "middle"
                 else
                   (place.x.positive? ? "right" : "left")
                 end
          I18n.t("my_part.spot.#{side}", x: format("%.1f", place.x.abs), y: format("%.1f", place.y))
        end
      end
    end
  end
end
