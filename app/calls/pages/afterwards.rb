# frozen_string_literal: true

module App
  module Calls
    module Pages
      # After a rehearsal, one page to confirm: what each slot took, how far each group got, who was there. What the
      # room said stands there already.
      class Afterwards < CallSheet
        def title = I18n.t("calls.afterwards", day: Shared::Dates.day(rehearsal.date))
        def evening = @evening ||= Reading::Evening.new(rehearsal, member, @now)
        def work = slots.select(&:work?)
        def confirmed = rehearsal.confirmed_at
        def confirmed_by = rehearsal.confirmed_by

        # What the register says of minutes, else what the room said.
        def minutes(slot) = register.value("minutes:#{slot.id}").presence || took[slot.id].to_s
        def took = @took ||= evening.took
        def dropped?(slot) = evening.dropped.include?(slot.id)
        def passes = @passes ||= rehearsal.passes.standing.group(:slot_id).count
        def far(slot, group) = register.value("group:#{slot.id}-#{group.id}")

        # How far a lesson got, as it stands to be confirmed: what the slot was for, where nothing else was said.
        def got(slot, reached)
          return reached if confirmed || dropped?(slot)

          whole = sections.find { |each| each.id == slot.section_ids.first }.eights.size
          [reached.to_i, slot.eights&.last || whole].max
        end

        def groups(slot) = lessons_by_group.select { |lesson, _, _| lesson.id == slot.id }

        # [[word, names], …] of what was said of who is there; those of whom nothing was said last.
        def who
          said = people.group_by { |person| evening.register.state(person.id) }
          known = Core::Room::Said::STATES.filter_map do |state|
            [I18n.t("room.states.#{state}"), names(said[state])] if said.key?(state)
          end
          known + (said.key?(nil) ? [[I18n.t("calls.nothing_said"), names(said[nil])]] : [])
        end

        def newcomers
          studio.people.where.not(client_id: nil).where(created_at: rehearsal.date.beginning_of_day..).order(:id)
            .select { |person| evening.register.state(person.id) }
        end

        def guests = evening.guests.keys
        def notes = @notes ||= rehearsal.notes.standing.order(:id).to_a

        private

        def names(people) = people.map(&:name).sort.join(", ")
      end
    end
  end
end
