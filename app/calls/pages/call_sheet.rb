# frozen_string_literal: true

module App
  module Calls
    module Pages
      # The call sheet of one rehearsal: slots, who is called and released when, what to review, cautions.
      class CallSheet < Reading::RehearsalSheet
        attr_reader :errors

        # register: the form as it was sent, where something is wrong with it.
        def initialize(rehearsal, member, now, register: nil, errors: {})
          super(rehearsal, member, now)
          @register = register
          @errors = errors
        end

        def title = I18n.t("calls.sheet", day: Shared::Dates.day(rehearsal.date))
        def screen = :calls
        def rooms = @rooms ||= rehearsal.rooms.order(:id).to_a

        # How far a lesson got, as far as somebody said.
        def got(_slot, reached) = reached

        # Everybody called, by arrival and name; the same times are one line.
        def calls
          @calls ||= people.map { |person| call(person) }.sort_by { |c| [c.arrive, c.release, c.person.name] }
        end

        # Whether it can still be decided what is done of it.
        def tonight? = slots.any? && rehearsal.cancelled_at.nil? && rehearsal.date >= @now.to_date

        # The register is kept from the day of the rehearsal on.
        def register? = slots.any? && rehearsal.date <= @now.to_date
        def attendance = @attendance ||= rehearsal.attendances.pluck(:person_id, :present).to_h
        # Whether somebody was said to be here, or nobody said anything of them.
        def marked?(person) = attendance.fetch(person.id, true)
        def register = @register ||= RegisterForm.of(self)
        def conflicts = RegisterForm.conflicts(register, self)
        def here?(person) = register.value("here:#{person.id}") == "1"

        # [[slot, section, eights taught so far], …] of the lessons of this rehearsal.
        def lessons
          slots.select(&:lesson?).uniq(&:section_ids).filter_map do |slot|
            section = sections.find { |each| each.id == slot.section_ids.first } or next
            [slot, section, section.taught_to_all&.eights]
          end
        end

        # [[slot, group, eights taught so far], …] of lessons that more than one group dances.
        def lessons_by_group
          @lessons_by_group ||= lessons.flat_map do |slot, section, _|
            piece = slot.plan.piece
            groups = PieceGroups.of(piece, section)
            groups.size > 1 ? groups.map { |group| [slot, group, reached(piece).of(section.id, group.id)] } : []
          end
        end

        # [[person, what changed], …] against what people were told before this version.
        def changes
          @changes ||= pieces.flat_map { |piece| changes_of(piece) }.sort_by { |person, _| person.name }
        end

        def call_groups = calls.group_by { |c| [c.arrive, c.release, c.alone?] }
        def starts = pieces.flat_map { |piece| piece_starts(piece) }

        private

        def reached(piece) = (@reached ||= {})[piece.id] ||= Reading::TaughtSoFar.new(piece)

        def changes_of(piece)
          before = piece.replaced_plan or return []
          told =
            Reading::CallDifference.new(piece, before, piece.published_plan, rehearsal.date)
              .by_rehearsal
              .fetch(rehearsal.id, {})
          names = studio.people.where(id: told.keys).index_by(&:id)
          told.map { |id, change| [names.fetch(id), change] }
        end

        def call(person)
          @person_calls ||= Reading::PersonCalls.new(rehearsal, slots)
          @person_calls.of(person, roles.fetch(person.id))
        end

        # {person id => {slot id => role}}.
        def roles
          @roles ||= slots.each_with_object({}) do |slot, found|
            slot.slot_people.each { |called| (found[called.person_id] ||= {})[slot.id] = called.role }
          end
        end

        def piece_starts(piece)
          wanted = slots.select { |slot| slot.plan.piece_id == piece.id && slot.from_link }.map(&:from_link).uniq
          Records::Mapping::Works.load(piece).order.start_points
            .select { |point| wanted.include?(point.link) && point.row == 1 }
        end
      end
    end
  end
end
