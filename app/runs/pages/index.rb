# frozen_string_literal: true

module App
  module Runs
    module Pages
      # Where it goes wrong, run over run, and what is drilled because of it.
      class Index < Reading::PiecePage
        include Wording

        # A spot as it is listed: how it is called, [runs with trouble, runs that danced it], words of its kinds, where
        # it starts and what tells.
        Row = Struct.new(:name, :times, :kinds, :verdict, :why, :spot, keyword_init: true)
        MOST = 10

        def screen = :runs
        def book = @book ||= Book.new(piece, snapshot)
        def runs = book.runs
        def empty? = runs.empty?
        def picture = @picture ||= RunsPicture.new(self)
        def tick? = Piece::Policy.new(member, piece).tick?

        # What a director wants to know first.
        def headline
          worst = rows.first or return I18n.t("runs.all_well")
          I18n.t("runs.most", place: worst.name, troubled: worst.times.first, danced: worst.times.last,
                              verdict: worst.verdict)
        end

        # [Row] of the spots, most runs with trouble first.
        def rows
          @rows ||= book.spots.all.sort_by { |spot| [-spot.runs.size, -spot.troubles.size, spot.eight.from] }
            .first(MOST).map { |spot| row(spot) }
        end

        # [["into Smoke", troubles, runs, danced, path of the join], …], most first.
        def seams
          book.spots.seams.sort_by { |seam| [-seam.runs, -seam.troubles.size] }.first(4).map do |seam|
            [join_name(seam.join), seam.troubles.size, seam.runs, seam.danced, path("/joins/#{seam.join}")]
          end
        end

        # [["into Smoke", "3 of 5 remembered it"], …] of the last two weeks, least remembered first. Whose answers
        # they were nobody keeps.
        def remembered
          rows = piece.memory_answers.where(day: (today - 14)..).group(:link_id, :sure).count
          tally = rows.group_by { |(link, _), _| book.index(link) }.except(nil).map do |index, own|
            right = own.sum { |(_, sure), count| sure ? count : 0 }
            [index, right, own.sum(&:last)]
          end
          tally.select { |index, *| index < order.links.size }.sort_by { |_, right, all| right.fdiv(all) }.first(4)
            .map { |index, right, all| [join_name(index), I18n.t("memory.joins", right:, all:)] }
        end

        # [[Records::Run, core run or nil], …], newest first.
        def listed = book.rows.reverse.map { |row| [row, book.run_of(row)] }

        # What would be drilled: [Core::Running::Drills::Drill] that nobody has asked for yet.
        def drills
          @drills ||= book.drills.all.reject { |drill| drill.spots.all? { |spot| asked_for?(spot.eight) } }.first(5)
        end

        def wanted = @wanted ||= piece.drills.open.includes(:rehearsal, :people).to_a
        def drill_name(drill) = book.span(drill.from, drill.to)

        def needed(ids)
          return I18n.t("runs.whole_cast", count: ids.size) if ids.size == items.everybody.size

          Shared::Lists.of(ids.map { |id| people.fetch(id).name }, 4)
        end

        # The same of a row; "not in the piece any more" where its place is gone.
        def wanted_name(row)
          from, to = places(row).map { |link, eight| link && book.eights.of_place(link, eight) }
          from && to ? book.span(from, to) : I18n.t("runs.gone")
        end

        # Where it stands: in which rehearsal, or that the plan finds room for it.
        def wanted_where(row)
          return I18n.t("runs.waits") unless row.rehearsal && row.rehearsal.cancelled_at.nil?

          stands = Reading::DrillWishes.slot?(row)
          words = { day: Shared::Dates.day(row.rehearsal.date), slot: row.slot&.title }
          I18n.t(stands ? "runs.in_rehearsal" : "runs.slot_gone", **words)
        end

        # Beside a run's strip.
        def run_words(run)
          row = book.row(run)
          stretch = clean(row)
          clean = stretch ? Shared::Amount.of((stretch.counts / 8.0).floor) : 0
          I18n.t("runs.strip", name: run_name(row), count: run.troubles.size, clean:)
        end

        def trouble_words(trouble) = "#{book.place(trouble.count)}: #{trouble_kind(trouble.kind)}"

        private

        # Whether somebody wants it drilled already.
        def asked_for?(eight)
          wanted.any? do |row|
            from, to = places(row)
            from.first && to.first && (from <=> eight.place) <= 0 && (eight.place <=> to) <= 0
          end
        end

        def places(row)
          [[book.index(row.from_link_id), row.from_row], [book.index(row.to_link_id), row.to_row]]
        end

        def row(spot)
          words = spot.kinds.map { |name| trouble_kind(name) }
          Row.new(name: book.eight(spot.eight), times: [spot.runs.size, spot.danced], kinds: words.join(", "),
                  verdict: verdict(spot.verdict), why: reason(spot.verdict), spot:)
        end
      end
    end
  end
end
