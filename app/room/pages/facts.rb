# frozen_string_literal: true

module App
  module Room
    module Pages
      # All a device needs for an evening in one room, worked out here so that it can go on without a network. Times are
      # minutes of the day; what hangs on who has learned what is as of now.
      class Facts
        def initialize(evening, room)
          @evening = evening
          @room = room
        end

        def to_h
          { clock:, rehearsal:, slots:, people:, away:, here:, guests: @evening.guests, rungs: I18n.t("rungs"), cells:,
            passes:, notes:, lines:, outlook:, reset:, scores:, **RunFacts.new(@evening, pieces, snapshots).to_h }
        end

        private

        def rehearsal_row = @evening.rehearsal
        def in_room = @in_room ||= @evening.in_room(@room)
        def pieces = @pieces ||= in_room.map { |slot| slot.plan.piece }.uniq
        def snapshots = @snapshots ||= pieces.to_h { |piece| [piece.id, Reading::PieceSnapshots.of(piece)] }

        def clock
          now = Shared::Clock.now
          local = @evening.now
          { ms: (now.to_f * 1000).to_i, minute: (local.hour * 60) + local.min + (local.sec / 60.0),
            said: local.strftime("%-H:%M") }
        end

        def rehearsal
          row = rehearsal_row
          { id: row.id, day: Shared::Dates.day(row.date), room: @room&.id, room_name: @room&.name.to_s,
            starts: row.start_minute, ends: row.end_minute, warm_up: @evening.warm_up, trial: @evening.ahead?,
            date: row.date.iso8601, until: @evening.kept_until, confirmed: !row.confirmed_at.nil? }
        end

        def slots
          @slots ||= in_room.map { |slot| SlotFacts.new(slot, @evening, snapshots.fetch(slot.plan.piece_id)).to_h }
        end

        # Everybody called, and everybody else of the studio who might come.
        def people
          rows = @evening.studio.people.present.order(:name).select { |row| row.dances || @evening.called.key?(row.id) }
          rows.map do |row|
            { id: row.id, name: row.name, short: row.first_name, groups: groups.fetch(row.id, ""), rings: row.rings,
              called: @evening.called[row.id], dances: row.dances, key: row.client_id,
              understudies: understudies.fetch(row.id, []).join(", ") }
          end
        end

        # {person id => first names of those who were named to step in for them}.
        def understudies
          @understudies ||= begin
            rows = Records::Understudy.where(piece_id: pieces.map(&:id)).order(:id).pluck(:covers_person_id, :person_id)
            names = @evening.studio.people.present.where(id: rows.map(&:last)).to_h { |row| [row.id, row.first_name] }
            rows.uniq.group_by(&:first).transform_values { |pairs| pairs.filter_map { |_, id| names[id] } }
          end
        end

        def groups
          @groups ||= pieces.each_with_object({}) do |piece, found|
            names = piece.groups.to_h { |group| [group.id, group.name] }
            snapshots[piece.id].cast.each { |id, own| found[id] ||= own.filter_map { |group| names[group] }.join(", ") }
          end
        end

        # {person id => [state, minute said, minute from which a latecomer dances]}.
        def here
          register = @evening.register
          rows = rehearsal_row.attendances.pluck(:person_id, :state, :minute)
          rows.to_h { |id, state, minute| [id, [state, minute, register.ready_at(id)]] }
        end

        # {item key => {person id => rung}} of what is worked on.
        def cells
          slots.each_with_object({}) do |slot, found|
            progress = snapshots.fetch(slot[:piece]).progress
            slot[:items].each do |item|
              found[item[:key]] ||= item[:people].to_h { |id| [id, progress.rung(id, item[:key])] }
            end
          end
        end

        # Ids of those who said before that they cannot come.
        def away
          Records::Absence.whole_days(@evening.studio, rehearsal_row.date)
        end

        # Seconds until everybody is back in place, of few and of many.
        def reset
          small = Core::Planning::Estimate::SMALL_GROUP
          few, many = [small, small + 1].map { |people| Core::Planning::Estimate.reset_seconds(people) }
          { small:, few:, many: }
        end

        # {slot id => how many were counted}.
        def passes = rehearsal_row.passes.standing.group(:slot_id).count

        def notes
          rows = @evening.studio.notes.parked.where(piece_id: pieces.map(&:id))
          rows.map { |note| { key: note.client_id, kind: note.kind, text: note.text, by: note.by_name } }
        end

        def timetable = @timetable ||= @evening.timetable(@room)

        # [[slot id, start, finish, state, minutes lost, whether somebody began it, minutes it is to take, the minute
        # before which it does not begin by itself, the one for which its people were told to come], …].
        def lines
          timetable.lines.map do |line|
            [
              line.slot.id, line.start, line.finish, line.state, line.lost, line.begun, line.planned, line.from,
              line.slot.earliest
            ]
          end
        end

        # {slot id => [[minute, starts, off, clash, cuts], …]}.
        def outlook
          kept_for_a_minute do
            Core::Room::Outlook.new(timetable).all.transform_values do |outcomes|
              outcomes.map { |each| [each.minute, each.starts, each.off, each.clash, each.cuts.map { |cut| cut(cut) }] }
            end
          end
        end

        # Several tablets ask for the same.
        def kept_for_a_minute(&)
          season = Reading::SeasonSnapshots.of(@evening.studio, @evening.now)
          season.memo([:outlook, rehearsal_row.id, @room&.id, @evening.minute, @evening.steps.map(&:id)], &)
        end

        def cut(cut)
          { kind: cut.kind, slot: cut.step.slot, minutes: cut.step.minutes, with: cut.step.with,
            off: cut.off.to_h { |line| [line.slot.id, line.lost] }, starts: cut.starts }
        end

        def scores = pieces.to_h { |piece| [piece.id, ScoreFacts.new(piece, snapshots[piece.id]).to_h] }
      end
    end
  end
end
