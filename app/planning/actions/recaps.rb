# frozen_string_literal: true

module App
  module Planning
    module Actions
      # The recaps of a plan, and its material danced to music at the end of the day, as slots.
      class Recaps
        MOST = 3

        # tasks: [Core::Planning::Task] by whose links the material is named.
        def initialize(plan, season, tasks, order)
          @plan = plan
          @season = season
          @links = order.links
          @names = tasks.to_h { |task| [task.id, name(task)] }
          @rehearsals = season.rehearsals.index_by { |rehearsal| Records::Mapping::Identifiers.window(rehearsal.id) }
        end

        # Writes core bookends of some windows; answers the slots.
        def make(bookends) = bookends.map { |each| slot(@rehearsals.fetch(each.window), each) }

        # Puts what is wanted now in place of what stands, wherever these differ; answers the ids of those rehearsals.
        def replace(bookends)
          standing =
            @plan.slots
              .where(kind: Records::Slot::ENDS, rehearsal_id: @season.open.map(&:id))
              .includes(:slot_people)
              .group_by(&:rehearsal_id)
          wanted = bookends.group_by { |each| Records::Mapping::Identifiers.row(each.window) }
          (standing.keys | wanted.keys).select { |id| anew(standing.fetch(id, []), wanted.fetch(id, [])) }
        end

        private

        # "Spiral", "Spiral into Comb", "the opening", or what the task is called where its links are not known.
        def name(task)
          edge =
            Reading::TaskTitles.edge(task.id) || Reading::TaskTitles::EDGES.values.find { |each| each == task.title }
          return I18n.t("tasks.the.#{edge}") if edge

          ends = task.links.to_a.minmax.compact.uniq
          return task.title unless ends.any? && ends.all? { |index| index.between?(1, @links.size) }

          ends.map { |index| @links[index - 1].name }.join(" into ")
        end

        def anew(old, new)
          return false if old.map { |slot| shape(slot) }.sort == new.map { |each| wanted_shape(each) }.sort

          CopySlots.remove(@plan, old)
          make(new)
          true
        end

        def shape(slot)
          called = slot.slot_people.reject { |each| each.role == "adult" }.map(&:person_id).sort
          [slot.kind, slot.start_minute, slot.minutes, slot.title, slot.room_id, called]
        end

        def wanted_shape(each)
          [
            each.kind,
            start_of(each),
            each.minutes,
            title(each),
            Records::Mapping::Identifiers.row(each.room),
            each.people.map { |who| Records::Mapping::Identifiers.row(who) }.sort
          ]
        end

        def start_of(each) = @rehearsals.fetch(each.window).start_minute + @season.warm_up + each.start

        def names(each) = each.tasks.filter_map { |id| @names[id] }.uniq

        def title(each)
          names = names(each)
          shown = names.size > MOST ? MOST - 1 : MOST
          I18n.t("tasks.#{each.kind}", names: Shared::Lists.of(names, shown))
        end

        def slot(rehearsal, each)
          row =
            Records::Slot.create!(
              studio_id: @plan.studio_id,
              plan: @plan,
              rehearsal:,
              kind: each.kind,
              task_key: each.kind,
              title: title(each),
              names: names(each),
              start_minute: start_of(each),
              minutes: each.minutes,
              room_id: Records::Mapping::Identifiers.row(each.room)
            )
          people = { "dancer" => each.dancers, "teacher" => each.choreographers - each.dancers }
          Records::SlotPerson.add_all(
            people.flat_map do |role, ids|
              ids.map do |who|
                { studio_id: row.studio_id, slot_id: row.id, person_id: Records::Mapping::Identifiers.row(who), role: }
              end
            end
          )
          row
        end
      end
    end
  end
end
