# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Writes into the log what a run says of whoever danced it, as it stands now: what is said already stays, what
      # does not hold any more (something was noted of somebody since) is taken back by a further entry, what is new is
      # added. Nothing is written before the run has ended.
      class WriteDanced
        # run: Records::Run; now: the studio's local time.
        def initialize(run, member, now)
          @run = run
          @member = member
          @now = now
        end

        def run
          @run.alone(:danced) do
            wanted = wanted()
            excess = standing.reject { |row| wanted.delete(key(row)) }
            lines = excess.map { |row| undoing(row) } + wanted.keys.map { |key| line(key) }
            Records::Mapping::Learnings.append(piece, lines)
          end
        end

        private

        def piece = @run.piece
        def snapshot = @snapshot ||= Reading::PieceSnapshots.of_work(piece)
        def kind = Core::Running::Kind.of(@run.kind)
        # The piece as it was when it was run: what came into it since was not danced then.
        def work = @work ||= Reading::PieceThen.of_run(@run, snapshot)
        def items = @items ||= work.equal?(snapshot.work) ? snapshot.items : then_items
        def then_items = Core::Learning::Items.new(work, cast: snapshot.cast)
        def book = @book ||= Records::Mapping::Runs.new(piece, work.order)

        # {[person, item, track, kind, rung] => true}.
        def wanted
          run = book.ended(@run) or return {}
          pairs = Core::Running::Danced.new(items, book.eights, cast: snapshot.cast)
            .of(run, dancers: present.dancers, noted: book.noted(@run))
          keys = pairs.product(kind.tracks).map { |(person, item), track| [person, item, track, *danced(person)] }
          keys.to_h { |key| [key, true] }
        end

        def present = @present ||= Reading::RunPresent.new(@run, @member, @now, snapshot.cast.keys)

        # [kind of entry, rung]: who marks dances the order only.
        def danced(person)
          small = kind.small || present.marks?(person)
          rung = small ? "slow" : kind.danced_at(speed: @run.speed, music: @run.music)
          [small ? "passed" : "ran", snapshot.progress.ladder.index(rung)]
        end

        def prefix = "run-#{@run.id}-"

        def rows
          @rows ||= piece.ledger_entries.where("starts_with(client_id, ?)", prefix).order(:id).to_a
        end

        def standing
          back = piece.ledger_entries.where(undoes_id: rows.map(&:id)).pluck(:undoes_id)
          rows.reject { |row| back.include?(row.id) }
        end

        def key(row) = [row.person_id, row.item_key, row.track, row.kind, row.rung]
        def day = @run.rehearsal.date
        def undoing(row) = Learning::Actions::TakeBack.line(piece, row, @member.account, day)

        # What was taken back is said under a further number.
        def line(key)
          person, item, track, kind, rung = key
          Shared::LogLine.of(piece, @member.account, day).merge(
            person_id: person, item_key: item, track:, kind:, rung:,
            client_id: "#{prefix}#{rows.size}:#{person}:#{item}:#{track}"
          )
        end
      end
    end
  end
end
