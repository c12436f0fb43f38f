# frozen_string_literal: true

module App
  module Room
    module Actions
      # Undoes what was said under a key; what was said stays in the log beside it.
      class Undo < Entry
        def run
          return :note unless @sent.undoes

          case @sent.text("was")
          when "here" then unsay
          when "step" then undo(Records::EveningStep, :slot_id, :kind, :minute)
          when "pass" then take_back_pass
          when "tick" then take_back_ticks
          when "note" then take_back_note
          when "answer" then park_again
          when "run" then undo(Records::Run, *Records::Run::SAID)
          when "run_step" then undo_run_step
          when "trouble" then take_back_trouble
          else :kind
          end
        end

        private

        def unsay
          row = original(Records::AttendanceEntry) or return :note
          again = said.merge(row.slice(:person_id, :guest, :state, :minute).symbolize_keys, undoes: row.client_id)
          Records::Mapping::Registers.say(@rehearsal, [again]).positive? ? :stored : :duplicate
        end

        def undo(model, *columns)
          row = original(model) or return :note
          add(model, said.merge(row.slice(*columns).symbolize_keys, undoes: row.client_id))
        end

        def original(model) = model.find_by(studio_id: studio.id, client_id: @sent.undoes)

        def take_back_pass
          status = undo(Records::Pass, :slot_id, :piece_id, :from_link, :to_link, :speed, :minute)
          take_back_ticks if status == :stored
          status
        end

        # What was ticked stays in the log, each with another entry that takes it back.
        def take_back_ticks
          piece = slot&.plan&.piece or return :slot
          rows = piece.ledger_entries.where(day: @rehearsal.date)
          rows = rows.where("starts_with(client_id, ?)", "#{@sent.undoes}:").to_a
          return :note if rows.empty?
          return :duplicate if piece.ledger_entries.exists?(undoes_id: rows.map(&:id))

          Records::Mapping::Learnings.append(piece, rows.map { |row| undoing(piece, row) })
          :stored
        end

        def undoing(piece, row)
          Learning::Actions::TakeBack.line(piece, row, @member.account, @rehearsal.date)
        end

        def undo_run_step
          status = undo(Records::RunStep, *Records::RunStep::SAID)
          Runs::Actions::WriteDanced.new(run_of(Records::RunStep), @member, @now).run if status == :stored
          status
        end

        def take_back_trouble
          trouble = studio.troubles.find_by(client_id: @sent.undoes) or return :note
          trouble.update!(taken_back_at: Shared::Clock.now)
          Runs::Actions::WriteDanced.new(trouble.run, @member, @now).run
          :stored
        end

        def run_of(model) = original(model).run

        def take_back_note
          note = studio.notes.find_by(client_id: @sent.undoes) or return :note
          note.update!(taken_back_at: Shared::Clock.now)
          :stored
        end

        def park_again
          note = studio.notes.find_by(client_id: @sent.text("note")) or return :note
          note.update!(answered_at: nil, answered_by: nil)
          :stored
        end
      end
    end
  end
end
