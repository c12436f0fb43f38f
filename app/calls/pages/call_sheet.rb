# frozen_string_literal: true

module App
  module Calls
    module Pages
      # The call sheet of one rehearsal: slots, who is called and released when, what to review, cautions.
      class CallSheet
        attr_reader :rehearsal, :member, :errors

        # register: the form as it was sent, where something is wrong with it.
        def initialize(rehearsal, member, now, register: nil, errors: {})
          @rehearsal = rehearsal
          @member = member
          @now = now
          @register = register
          @errors = errors
        end

        def title = I18n.t("calls.sheet", day: Shared::Dates.day(rehearsal.date))
        def screen = :calls
        def studio = member.studio
        def rooms = @rooms ||= rehearsal.rooms.order(:id).to_a

        def slots
          @slots ||=
            Reading::StandingSlots.standing(studio, [rehearsal])
              .includes(:room, slot_people: :person, plan: :piece)
              .to_a
        end

        def pieces = slots.map { |slot| slot.plan.piece }.uniq
        def people = slots.flat_map { |slot| slot.slot_people.map(&:person) }.uniq

        # Who is with them: teachers, or the adult that is named.
        def teachers(slot)
          slot.slot_people.reject { |called| called.role == "dancer" }.map { |called| called.person.name }
        end

        # Whether minors are in a slot and no adult who can be there.
        def unattended?(slot) = (@unattended ||= Reading::Unattended.new(studio, slots)).include?(slot)

        def away
          studio.absences.includes(:person)
            .where("from_date <= :d AND to_date >= :d", d: rehearsal.date)
            .map { |absence| absence.person.name }
            .uniq
            .sort
        end

        def who(slot)
          dancers = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
          names(slot.plan.piece).of(dancers)
        end

        # Everybody called, by arrival and name; the same times are one line.
        def calls
          @calls ||= people.map { |person| call(person) }.sort_by { |c| [c.arrive, c.release, c.person.name] }
        end

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
            [slot, section, section.teachings.order(:id).last&.eights]
          end
        end

        # [[person, what changed], …] against what people were told before this version.
        def changes
          @changes ||= pieces.flat_map { |piece| changes_of(piece) }.sort_by { |person, _| person.name }
        end

        def call_groups = calls.group_by { |c| [c.arrive, c.release, c.alone?] }
        def cautions = hazards.map { |hazard| [I18n.t("hazards.#{hazard}.name"), I18n.t("hazards.#{hazard}.care")] }
        def bring = sections.filter_map { |section| section.bring.empty? ? nil : "#{section.name}: #{section.bring}" }

        def watch
          studio.corrections.open.where(section_id: sections.map(&:id)).includes(:section)
            .map { |each| ["#{each.section.name}#{" #{each.place}" if each.place}", each.text] }
        end

        # What is to be looked at in the room: questions that were put off to it, of the sections that are danced.
        def look
          pieces.flat_map do |piece|
            asked = Reading::OpenQuestions.new(piece, Reading::PieceSnapshots.of(piece)).all
            here = asked.select { |one| one.way == "room" && sections.map(&:id).include?(one.section.id) }
            here.map { |one| Shared::QuestionWording.new(one.question).look }
          end
        end

        def starts = pieces.flat_map { |piece| piece_starts(piece) }

        private

        def names(piece) = (@names ||= {})[piece.id] ||= Shared::CallNames.new(piece)

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

        def sections = @sections ||= studio.sections.where(id: slots.flat_map(&:section_ids).uniq).order(:position).to_a

        # Ticked, or read from the steps that are danced.
        def hazards
          pieces.flat_map do |piece|
            snapshot = Reading::PieceSnapshots.of(piece)
            here = snapshot.work.sections.select { |section| sections.any? { |each| each.id == section.id } }
            here.flat_map { |section| snapshot.danced.hazards(section) }
          end.uniq
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
