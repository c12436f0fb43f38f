# frozen_string_literal: true

module App
  module Room
    module Pages
      # What a device needs for runs and drills: their words, the run that has not ended, the drills of its pieces.
      class RunFacts
        def initialize(evening, pieces, snapshots)
          @evening = evening
          @pieces = pieces
          @snapshots = snapshots
        end

        def to_h = { run:, drills:, kinds:, words:, asks: }

        private

        def words
          { runs: I18n.t("runs.kinds"), troubles: I18n.t("runs.troubles") }
        end

        # {piece id => [[question, answer], …]}: to be asked aloud.
        def asks
          @snapshots.transform_values do |snapshot|
            Reading::MemoryQuestions.new(snapshot).for_all(@evening.now.to_date).map { |one| [one.text, one.right] }
          end
        end

        def kinds
          Core::Running::Kind::ALL.transform_values { |kind| { speed: kind.speed, music: kind.music } }
        end

        # The newest run of the rehearsal, unless it has ended.
        def run
          row = @evening.rehearsal.runs.standing.in_order.last or return
          return if Records::RunStep.standing.exists?(run_id: row.id, kind: "end")

          troubles = row.troubles.standing.includes(:trouble_people).order(:said_at).map do |trouble|
            { client: trouble.client_id, name: trouble.place, kind: trouble.kind.to_s, group: trouble.group_id.to_s,
              people: trouble.trouble_people.map(&:person_id).join(" "), everyone: trouble.everyone }
          end
          { client: row.client_id, kind: row.kind, troubles: }
        end

        # Those that are to be drilled, the ones of this rehearsal first.
        def drills
          rows = @pieces.flat_map { |piece| piece.drills.open.to_a }
          rows.sort_by { |row| [here?(row) ? 0 : 1, row.id] }.filter_map { |row| drill(row) }
        end

        def here?(row) = row.rehearsal_id == @evening.rehearsal.id

        def drill(row)
          order = @snapshots.fetch(row.piece_id).work.order
          from, to = [row.from_link_id, row.to_link_id].map { |id| order.links.find { |one| one.link.id.to_i == id } }
          return unless from && to

          { id: row.id, piece: row.piece_id, from: from.index, row: row.from_row, to: to.index, toRow: row.to_row,
            times: row.repetitions, here: here?(row),
            name: Shared::PlaceName.span([from, row.from_row], [to, row.to_row]) }
        end
      end
    end
  end
end
