# frozen_string_literal: true

module Records
  module Mapping
    # What was said of who is at a rehearsal <-> Core::Room::Register. The log is the truth; attendances hold what it
    # comes to for each person, for whoever asks many rehearsals at once.
    module Registers
      Room = Core::Room
      private_constant :Room

      module_function

      # called: {person id => minute they are called for}; warm_up: minutes.
      def of(rehearsal, called: {}, warm_up: 0)
        Room::Register.new(said(rehearsal.attendance_entries), called:, warm_up:)
      end

      # [Core::Room::Said] of rows; only of people of the studio.
      def said(rows)
        rows.standing.where.not(person_id: nil).in_order.map do |row|
          Room::Said.new(person: row.person_id, state: row.state, minute: row.minute, at: row.said_at)
        end
      end

      # Folds every person again of whom anything was said; answers for how many something else stood there.
      def rebuild(rehearsal)
        people = rehearsal.attendance_entries.where.not(person_id: nil).distinct.pluck(:person_id)
        before = states(rehearsal, people)
        fold(rehearsal, people)
        after = states(rehearsal, people)
        people.count { |person| before[person] != after[person] }
      end

      def states(rehearsal, people)
        rows = rehearsal.attendances.where(person_id: people).pluck(:person_id, :state, :minute)
        rows.to_h { |id, *said| [id, said] }
      end

      # Adds rows (of one rehearsal) and folds what they say of each person. Rows sent before (the same client_id) are
      # left as they are. Answers how many were new.
      def say(rehearsal, rows)
        AttendanceEntry.transaction do
          written = AttendanceEntry.insert_all(rows, unique_by: %i[studio_id client_id], returning: %i[id])
          fold(rehearsal, rows.filter_map { |row| row[:person_id] }.uniq) if written.any?
          written.length
        end
      end

      # One after the other for a rehearsal, so that two tablets that speak of somebody at once wait for each other.
      def fold(rehearsal, people)
        rehearsal.alone(:register) { people.each { |person| fold_one(rehearsal, person) } }
      end

      def fold_one(rehearsal, person)
        row = rehearsal.attendances.find_or_initialize_by(person_id: person)
        last = rehearsal.attendance_entries.where(person_id: person).standing.in_order.last
        last ? keep(row, last) : row.persisted? && row.destroy!
      end

      def keep(row, last)
        row.update!(
          studio_id: last.studio_id,
          present: last.state != "absent",
          state: last.state,
          minute: last.minute,
          by_name: last.by_name
        )
      end
      private_class_method :fold_one, :keep, :states
    end
  end
end
