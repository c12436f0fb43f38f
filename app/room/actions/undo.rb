# frozen_string_literal: true

module App
  module Room
    module Actions
      # Undoes what was said under a key; what was said stays in the log beside it.
      class Undo < Entry
        # What each kind of entry is undone by.
        WAYS = {
          "here" => :unsay, "newcomer" => :send_home, "step" => :take_back_step, "pass" => :take_back_pass,
          "tick" => :take_back_ticks, "note" => :take_back_note, "answer" => :park_again, "run" => :take_back_run,
          "run_step" => :undo_run_step, "trouble" => :take_back_trouble, "word" => :take_back_word
        }.freeze
        private_constant :WAYS

        def run
          return :note unless @sent.undoes && here?

          way = WAYS[@sent.text("was")] or return :kind
          after_the_same
          send(way)
        end

        private

        def take_back_step = undo(Records::EveningStep, :slot_id, :kind, :minute)
        def take_back_run = undo(Records::Run, *Records::Run::SAID)

        # Whether what it undoes was said of this rehearsal, as far as its row says of which.
        def here?
          of = studio.id
          elsewhere = [Records::AttendanceEntry, Records::EveningStep, Records::Pass, Records::Run].any? do |rows|
            rows.where(studio_id: of, client_id: @sent.undoes).where.not(rehearsal_id: @rehearsal.id).exists?
          end
          runs = studio.runs.where.not(rehearsal_id: @rehearsal.id).select(:id)
          elsewhere ||= [Records::RunStep, Records::Trouble].any? do |rows|
            rows.where(studio_id: of, client_id: @sent.undoes, run_id: runs).exists?
          end
          notes = studio.notes.where(client_id: [@sent.undoes, @sent.text("note")])
          !elsewhere && notes.where.not(rehearsal_id: @rehearsal.id).none?
        end

        def unsay
          row = original(Records::AttendanceEntry) or return :note
          again = said.merge(row.slice(:person_id, :guest, :state, :minute).symbolize_keys, undoes: row.client_id)
          Records::Mapping::Registers.say(@rehearsal, [again]).positive? ? :stored : :duplicate
        end

        def undo(model, *columns)
          row = original(model) or return :note
          facts = said.merge(row.slice(*columns).symbolize_keys, undoes: row.client_id)
          add(model, model.column_names.include?("rehearsal_id") ? facts : facts.except(:rehearsal_id))
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
          status = once(studio.troubles.where(id: trouble.id, taken_back_at: nil), taken_back_at: Shared::Clock.now)
          Runs::Actions::WriteDanced.new(trouble.run, @member, @now).run if status == :stored
          status
        end

        # What was said of a trouble spot; where something else was said since, that stands.
        def take_back_word
          rows = studio.troubles
          trouble = rows.find_by(client_id: @sent.text("trouble")) || rows.find_by(worded_by: @sent.undoes)
          return :note unless trouble
          return :note unless trouble.run.rehearsal_id == @rehearsal.id
          return :duplicate unless Runs::Actions::SayTrouble.new(trouble).take_back(@sent.undoes)

          Runs::Actions::WriteDanced.new(trouble.reload.run, @member, @now).run
          :stored
        end

        # Somebody added by mistake: they are archived, and in no piece any more.
        def send_home
          person = studio.people.find_by(client_id: @sent.undoes) or return :note
          return :note if person.created_at < @rehearsal.date.to_time(:utc) - 86_400

          status = once(studio.people.where(id: person.id, archived_at: nil), archived_at: Shared::Clock.now)
          [studio.castings, studio.group_members].each { |rows| rows.where(person_id: person.id).delete_all }
          status
        end

        # A change that is there already is not made again.
        def once(rows, **changes) = rows.update_all(changes).positive? ? :stored : :duplicate

        def run_of(model) = original(model).run

        def take_back_note
          note = studio.notes.find_by(client_id: @sent.undoes) or return :note
          once(studio.notes.where(id: note.id, taken_back_at: nil), taken_back_at: Shared::Clock.now)
        end

        def park_again
          note = studio.notes.find_by(client_id: @sent.text("note")) or return :note
          once(studio.notes.where(id: note.id).where.not(answered_at: nil), answered_at: nil, answered_by: nil)
        end
      end
    end
  end
end
