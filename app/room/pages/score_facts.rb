# frozen_string_literal: true

module App
  module Room
    module Pages
      # A piece as the caller counts it, in short names, since a device keeps all of it.
      class ScoreFacts
        def initialize(piece, snapshot)
          @piece = piece
          @snapshot = snapshot
          @score = Core::Room::Score.new(@snapshot.work, danced: @snapshot.danced)
        end

        def to_h
          {
            piece: @piece.id, title: @piece.title, beats: @snapshot.work.count_in,
            groups: @snapshot.work.groups.to_h, links: @score.links.map { |link| link(link) },
            seconds: @snapshot.work.order.end_seconds.round(3), track: track
          }
        end

        private

        # c: [[second, number called, eight, whether it begins it], …]; q: [[count, words], …].
        def link(link)
          placed = @snapshot.work.order.links[link.index - 1]
          {
            id: placed.link.id.to_i, i: link.index, n: link.name, o: link.occurrence, of: link.occurrences,
            e: link.ends.round(4),
            lead: @score.count_in(link.index, 1).round(4), c: counts(link), q: cues(link), l: lanes(link),
            words: words?(placed), eights: placed.link.danced.size, next: into(placed)
          }
        end

        def counts(link)
          link.counts.map { |count| [count.seconds.round(4), count.called, count.eight, count.first ? 1 : 0] }
        end

        def cues(link) = link.cues.map { |cue| [cue.count.to_f, cue.text] }

        def lanes(link)
          link.lanes.transform_values { |lanes| lanes.map { |from, to, doing| [from, to, doing.to_s] } }
        end

        def words?(placed) = spoken.fetch(placed.section.id, "counts") == "words"
        def spoken = @spoken ||= @piece.sections.to_h { |section| [section.id, section.called_by] }

        # "into Drift: left foot free, facing front": how this link is left.
        def into(placed)
          later = @snapshot.work.order.links[placed.index] or return
          return unless placed.link.end_written?

          foot, facing, = Shared::Wording.ending(@snapshot.danced.walk(placed.link).exit)
          I18n.t("room.into", name: later.name, foot:, facing:)
        end

        def track
          file = @piece.uploads.tracks.last
          file && { url: "/pieces/#{@piece.id}/track/#{file.id}", name: file.name }
        end
      end
    end
  end
end
