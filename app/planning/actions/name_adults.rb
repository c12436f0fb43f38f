# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Names an adult for every slot of a rehearsal in which minors are without one (Core::Planning::Supervision).
      class NameAdults
        # season: Records::Mapping::Seasons of the plan's piece.
        def initialize(plan, season)
          @plan = plan
          @season = season
        end

        def run(rehearsal)
          slots = @plan.slots.where(rehearsal_id: rehearsal.id).includes(:slot_people).to_a
          @plan.studio.slot_people.where(slot_id: slots.map(&:id), role: "adult").delete_all
          named = supervision(rehearsal, slots).all
          slots.each { |slot| name(slot, named[slot.id]) if named[slot.id]&.who }
        end

        private

        def supervision(rehearsal, slots)
          others = @season.others.select { |slot| slot.rehearsal_id == rehearsal.id }
          Core::Planning::Supervision.new(
            slots.map { |slot| core(slot) },
            others: others.map { |slot| core(slot, looking: true) },
            adults: grown_up,
            minors:,
            more: teachers_of_piece,
            there: there(rehearsal),
            on_end: @plan.studio.setting("max_continuous"),
            rest: @plan.studio.setting("rest")
          )
        end

        # looking: whether those who look after minors there count with those who work; here they are named anew.
        def core(slot, looking: false)
          called = looking ? slot.slot_people.to_a : slot.slot_people.reject { |each| each.role == "adult" }
          Core::Planning::Supervision::Slot.new(
            key: slot.id,
            start: slot.start_minute,
            finish: slot.end_minute,
            room: slot.room_id,
            people: called.map(&:person_id),
            teachers: called.select { |each| each.role == "teacher" }.map(&:person_id),
            movable: slot.warm_up?
          )
        end

        def teachers_of_piece = @plan.piece.sections.filter_map(&:choreographer_id).uniq
        def grown_up = @grown_up ||= @plan.studio.people.where(adult: true).ids
        def minors = @minors ||= @plan.studio.people.where(adult: false, dances: true).ids

        # Whether somebody is away for any of it.
        def there(rehearsal)
          times = { opening: rehearsal.start_minute, closing: rehearsal.end_minute }
          away = @season.availability.on(rehearsal.date.iso8601, **times).group_by { |entry| entry[:who] }
          lambda do |who, from, to|
            entries = away.fetch(Records::Mapping::Identifiers.person(who), [])
            entries.none? { |entry| (entry[:from] || 0) < to && from < (entry[:to] || 1440) }
          end
        end

        def name(slot, named)
          slot.update!(room_id: named.room) unless slot.room_id == named.room
          row = { studio_id: slot.studio_id, slot_id: slot.id, person_id: named.who, role: "adult" }
          Records::SlotPerson.add_all([row])
        end
      end
    end
  end
end
