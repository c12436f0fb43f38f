# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # One link as one dancer dances it, eight by eight, with what comes before and after, where they stand, and what
      # they are asked to watch for.
      class MyLink
        # number; text: as it is danced by this person; cue; taught: whether they were shown it.
        Line = Struct.new(:number, :text, :cue, :taught, keyword_init: true)

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
        def scripts = %w[room_queue room_caller my_player]
        def placed = @placed ||= order.links.find { |each| each.link.id.to_i == @link.id }
        def dances? = items.in_link(placed.index).include?(person.id)
        def echo = (I18n.t("echo.marks.#{placed.echo}") unless placed.echo == :first)
        def at = Formats::Times.length(placed.start_seconds)

        # [Line], eight by eight.
        def lines
          own.danced.each_with_index.map do |danced, i|
            row = danced.row
            Line.new(number: i + 1, text: row.text, cue: [row.name, row.cue].reject(&:empty?).join(", "),
                     taught: taught.cover?(i + 1))
          end
        end

        def version_name = version && I18n.t("versions.#{version}").downcase

        # How it is begun, how it is ended, and what comes before and after.
        def begins = ending_words(snapshot.danced.walk(placed.link).entry)
        def ends = ending_words(snapshot.danced.walk(placed.link).exit)
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

        # What to leave out, or mark, at home.
        def cautions
          I18n.t("my_part.at_home").slice(*snapshot.danced.hazards(section).map(&:to_sym)).values
        end

        def clips
          MyPiece.new(piece, person, @now.to_date).clips.select { |clip| clip.section_id == section.id }
        end

        def practise? = taught.any?

        # What the player needs, as the room's caller has it.
        def json
          { links: [score_link], taught: taught.max, beats: work.count_in, track: track, slow: 60 }.to_json
            .gsub("<", "\\u003c")
        end

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

        # Eights this person was shown: by what was said of their groups; all where the section was known before.
        def taught
          @taught ||= begin
            mine = snapshot.cast.fetch(person.id, [])
            reached = Reading::TaughtSoFar.new(piece)
            far = mine.map { |id| reached.of(section.id, id) }.max || reached.to_h.fetch(section.id, 0)
            far = own.danced.size if section.known || progress_says_all?
            (1..[far, own.danced.size].min)
          end
        end

        def progress_says_all?
          item = items.of_link(placed.index)
          item && snapshot.progress.at_least?(person.id, item.key, "slow")
        end

        def ending_words(body) = Shared::Wording.ending(body).join(", ")

        def spot_words(place)
          side = place.x.abs < 0.05 ? "middle" : (place.x.positive? ? "right" : "left")
          I18n.t("my_part.spot.#{side}", x: format("%.1f", place.x.abs), y: format("%.1f", place.y))
        end

        def score_link
          link = Core::Room::Score.new(work, danced: snapshot.danced).links[placed.index - 1]
          counts = link.counts.map { |count| [count.seconds.round(4), count.called, count.eight, count.first ? 1 : 0] }
          lead = work.track.map.seconds_at(placed.start_beat) - work.track.map.seconds_at(placed.start_beat - 1)
          { i: 1, n: link.name, o: 1, of: 1, e: link.ends.round(4), lead: lead.round(4), c: counts, l: {},
            q: link.cues.map { |cue| [cue.count.to_f, cue.text] }, words: false, eights: placed.link.danced.size }
        end

        def track
          file = piece.uploads.tracks.last
          file && { url: "/my/#{token}/track/#{file.id}", name: file.name }
        end
      end
    end
  end
end
