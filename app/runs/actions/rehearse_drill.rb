# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Puts a drill into the next rehearsal of its piece: as a slot of its own where minutes are free while everybody
      # who is needed is there, else into a slot that has them all. Nobody's times change. Where it does not go, it is
      # one of the plan's cleaning tasks.
      class RehearseDrill
        # So many rehearsals ahead are tried.
        AHEAD = 3

        def initialize(drill, now)
          @drill = drill
          @piece = drill.piece
          @studio = drill.studio
          @now = now
        end

        # Value: a sentence that says where it went, or why nowhere.
        def run
          return told(:not_told) unless plan

          tried = rehearsals.first(AHEAD)
          return told(:nothing_ahead) if tried.empty?

          tried.each do |rehearsal|
            found, adult = found(rehearsal)
            return put(rehearsal, found, adult) if found
          end
          told(:no_room, minutes: @drill.minutes, day: Shared::Dates.day(tried.first.date), names: missing(tried.first))
        end

        private

        def told(key, **words) = Shared::Result.ok(I18n.t("runs.drill.#{key}", **words))
        def plan = @plan ||= @piece.published_plan
        def snapshot = @snapshot ||= Reading::PieceSnapshots.of(@piece)
        def order = snapshot.work.order
        def wish = @wish ||= Reading::DrillWishes.wish(@drill, links, order, snapshot.items)
        def people = wish.dancers

        def links
          @links ||= begin
            index = order.links.to_h { |placed| [placed.link.id.to_i, placed.index] }
            from, to = index.values_at(@drill.from_link_id, @drill.to_link_id)
            from && to ? (from..to).to_a : []
          end
        end

        # Rehearsals of the told plan that have not begun, soonest first.
        def rehearsals
          minute = (@now.hour * 60) + @now.min
          rows = @studio.rehearsals.standing.where(id: plan.slots.select(:rehearsal_id), date: @now.to_date..)
          rows.reject { |row| row.date == @now.to_date && row.start_minute <= minute }
        end

        # [where it goes, who teaches it there]: with whoever teaches it, if they are there, else with another adult who
        # is; with nobody only into a slot that has its own.
        def found(rehearsal)
          place = place(rehearsal)
          adults(rehearsal).each do |adult|
            hit = place.find(people: people + [adult], minutes: @drill.minutes, links:)
            return [hit, adult] if hit
          end
          hit = place.find(people:, minutes: @drill.minutes, links:)
          [(hit if hit&.kind == :inside), nil]
        end

        # Ids of those who teach in this rehearsal, its own teachers first.
        def adults(rehearsal)
          there = slots(rehearsal).flat_map { |slot| slot.slot_people.reject { |one| one.role == "dancer" } }
          ids = there.map(&:person_id).uniq & @studio.people.where(adult: true).ids
          own = links.flat_map { |link| order.links[link - 1].section.teachers }
          ids.sort_by { |id| [own.include?(id) ? 0 : 1, id] }
        end

        def slots(rehearsal) = Reading::StandingSlots.standing(@studio, [rehearsal]).includes(:slot_people).to_a

        def place(rehearsal)
          rows = slots(rehearsal).map do |slot|
            own = slot.plan_id == plan.id
            Core::Running::DrillPlace::Slot.new(
              id: slot.id, start: slot.start_minute, finish: slot.end_minute, room: slot.room_id,
              people: slot.slot_people.map(&:person_id), work: slot.work? && own,
              links: own && slot.from_link ? (slot.from_link..(slot.to_link || slot.from_link)).to_a : []
            )
          end
          Core::Running::DrillPlace.new(rows)
        end

        def missing(rehearsal)
          names = @studio.people.where(id: place(rehearsal).absent(people)).order(:name).pluck(:name)
          names.empty? ? I18n.t("runs.drill.nobody") : Shared::Lists.of(names, 4)
        end

        def put(rehearsal, found, adult)
          Records::Base.transaction do
            slot = found.kind == :free ? make(rehearsal, found, adult) : @studio.slots.find(found.slot.id)
            @drill.update!(rehearsal:, slot_id: slot.id)
            told(found.kind, day: Shared::Dates.day(rehearsal.date), at: Formats::Times.clock(found.start),
                             minutes: @drill.minutes, slot: slot.title)
          end
        end

        def make(rehearsal, found, adult)
          slot = plan.slots.create!(
            studio_id: @studio.id, rehearsal:, room_id: found.room, kind: "clean",
            task_key: Core::Planning::TaskKey.of("drill", @drill.id), title: I18n.t("tasks.drill", name: wish.title),
            start_minute: found.start, minutes: @drill.minutes, from_link: links.first, to_link: links.last,
            section_ids: links.map { |link| order.links[link - 1].section.id }.uniq
          )
          Records::SlotPerson.add_all([*people.map { |id| called(slot, id, "dancer") }, called(slot, adult, "teacher")])
          TellDrill.new(slot.reload, "drill_new").run
          slot
        end

        def called(slot, id, role) = { studio_id: slot.studio_id, slot_id: slot.id, person_id: id, role: }
      end
    end
  end
end
