# frozen_string_literal: true

module App
  module Runs
    module Pages
      # One run: what went well, and every trouble spot in the order of the piece.
      class Show < Reading::PiecePage
        include Wording

        Marked = Struct.new(:row, :count, :name, :verdict, :why, keyword_init: true)
        attr_reader :row

        def initialize(run:, **rest)
          super(**rest)
          @row = run
        end

        def screen = :runs
        def title = run_name(row)
        def book = @book ||= Book.new(piece, snapshot)
        def run = @run ||= book.run_of(row)
        def runs = [run].compact
        def picture = RunsPicture.new(self, runs:)
        def tick? = Piece::Policy.new(member, piece).tick?
        def ended? = !book.mapping.ended(row).nil?

        def facts
          [I18n.t("runs.facts", count: lines.size, speed: row.speed), (I18n.t("runs.stops", count: run.stops) if run)]
            .compact.join(" · ")
        end

        def run_words(_run) = ""
        def trouble_words(trouble) = "#{book.place(trouble.count)}: #{trouble_kind(trouble.kind)}"

        # [Marked] of its trouble spots, in the order of the piece; those whose link is gone last.
        def lines
          @lines ||= row.troubles.standing.includes(:group, :trouble_people).map { |trouble| line(trouble) }
            .sort_by { |line| [line.count || (book.eights.total + 1), line.row.id] }
        end

        # What of it opens in the clip of this run: seconds, or nil.
        def clip_at(line) = clips.second(line.count)
        def clip = clips.clip
        def clips = @clips ||= RunClip.new(self, row)

        def groups = @groups ||= piece.groups.to_a
        def dancers = @dancers ||= items.everybody.map { |id| people.fetch(id) }.sort_by(&:name)
        def kinds = Core::Running::Trouble::KINDS

        # What the list of whose it was stands on.
        def whose_value(trouble)
          return "everyone" if trouble.everyone
          return "g#{trouble.group_id}" if trouble.group_id

          trouble.trouble_people.any? ? "people" : ""
        end

        # Names of who danced it, in short.
        def danced_by
          present = Reading::RunPresent.new(row, member, now, items.everybody)
          key = present.known? ? "danced_by" : "taken_as_danced"
          I18n.t("runs.#{key}", count: present.dancers.size, of: items.everybody.size)
        end

        private

        def line(trouble)
          count = book.count(trouble)
          found = count && run && verdict_on(trouble)
          Marked.new(row: trouble, count:, name: count ? book.place(count) : I18n.t("runs.was", place: trouble.place),
                     verdict: found ? verdict(found) : "", why: found ? reason(found) : "")
        end

        def verdict_on(trouble)
          held = book.runs.find { |each| each.id == row.id } || run
          one = held.troubles.find { |each| each.id == trouble.id }
          one && book.spots.verdict(held, one)
        end
      end
    end
  end
end
