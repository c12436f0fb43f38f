# frozen_string_literal: true

module App
  module MyPart
    # What a dancer practises at home, and what the player needs for it: only what they were taught.
    class Player
      def initialize(piece, snapshot, person)
        @piece = piece
        @snapshot = snapshot
        @person = person
      end

      # Eights of a placed link that this person was shown: by what was said of their groups; all where the section was
      # known before, or they dance it at slow counts.
      def taught(placed)
        size = placed.link.danced.size
        return (1..size) if placed.section.known || dances_it?(placed)

        (1..[far(placed.section), size].min)
      end

      # Links from the top as far as this person has them: [PlacedLink]; what they are off in is danced by the others.
      def from_the_top
        links = order.links.take_while { |placed| whole?(placed) }
        following = order.links[links.size]
        following && taught(following).any? ? [*links, following] : links
      end

      # As JSON for a page: links one after the other, the eight the last one goes to (0: to its end).
      def json(links, token)
        last = links.last
        far = mine?(last) ? taught(last).max.to_i : last.link.danced.size
        to_row = far < last.link.danced.size ? far : 0
        facts = links.each_with_index.map { |placed, i| link(placed, i + 1) }
        { links: facts, toRow: to_row, beats: @snapshot.work.count_in, track: track(token) }.to_json
          .gsub("<", "\\u003c")
      end

      private

      def order = @snapshot.work.order
      def mine?(placed) = @snapshot.items.in_link(placed.index).include?(@person.id)
      def whole?(placed) = !mine?(placed) || taught(placed).size >= placed.link.danced.size

      def dances_it?(placed)
        item = @snapshot.items.of_link(placed.index)
        item && @snapshot.progress.at_least?(@person.id, item.key, "slow")
      end

      def far(section)
        @reached ||= Reading::TaughtSoFar.new(@piece)
        mine = @snapshot.cast.fetch(@person.id, [])
        mine.map { |id| @reached.of(section.id, id) }.max || @reached.to_h.fetch(section.id, 0)
      end

      def score = @score ||= Core::Room::Score.new(@snapshot.work, danced: @snapshot.danced)

      # As the caller has it (Room::Pages::ScoreFacts), under a number of its own.
      def link(placed, number)
        link = score.links[placed.index - 1]
        counts = link.counts.map { |count| [count.seconds.round(4), count.called, count.eight, count.first ? 1 : 0] }
        { i: number, n: link.name, o: link.occurrence, of: link.occurrences, e: link.ends.round(4),
          lead: score.count_in(placed.index, 1).round(4), c: counts, l: {},
          q: link.cues.map { |cue| [cue.count.to_f, cue.text] }, words: false, eights: placed.link.danced.size }
      end

      def track(token)
        file = @piece.uploads.tracks.last
        file && { url: "/my/#{token}/track/#{file.id}", name: file.name }
      end
    end
  end
end
