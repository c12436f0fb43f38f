# frozen_string_literal: true

module App
  module Reading
    # What is done in a rehearsal, with whom, and what it needs.
    class RehearsalSheet
      attr_reader :rehearsal, :member

      # member: who looks at it; now: the studio's local time.
      def initialize(rehearsal, member, now)
        @rehearsal = rehearsal
        @member = member
        @now = now
      end

      def studio = member.studio

      def slots
        @slots ||=
          StandingSlots.standing(studio, [rehearsal]).includes(:room, slot_people: :person, plan: :piece).to_a
      end

      def pieces = slots.map { |slot| slot.plan.piece }.uniq
      def people = slots.flat_map { |slot| slot.slot_people.map(&:person) }.uniq

      # Who is with them: teachers, or the adult that is named.
      def teachers(slot)
        slot.slot_people.reject { |called| called.role == "dancer" }.map { |called| called.person.name }
      end

      # Whether minors are in a slot and no adult who can be there.
      def unattended?(slot) = (@unattended ||= Unattended.new(studio, slots)).include?(slot)

      # Who cannot come that day, with the hours where it is not all day.
      def away
        said = absences.group_by(&:person).map { |person, rows| away_words(away_name(person), rows) }
        said.sort
      end

      # The work that this member's person is called to.
      def own_slots
        return [] if member&.person_id.nil?

        slots.select { |slot| slot.work? && slot.slot_people.any? { |called| called.person_id == member.person_id } }
      end

      def who(slot)
        dancers = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
        names(slot.plan.piece).of(dancers)
      end

      def cautions
        hazards.map { |hazard| [I18n.t("hazards.#{hazard}.name"), I18n.t("hazards.#{hazard}.care")] } +
          collisions.map { |trouble| [I18n.t("collisions.name"), I18n.t("collisions.care", place: trouble.place)] } +
          back + needs
      end

      # Whoever was away for some days: for the team, never on the wall.
      def back
        return [] if posted?

        names = BackToday.new(rehearsal, people.map(&:id)).names
        return [] if names.empty?

        [[I18n.t("calls.back"), I18n.t("calls.start_marked", names: Shared::Lists.all(names), count: names.size)]]
      end

      # What those who are called always need: for the team, never on the wall.
      def needs
        return [] if posted?

        called = slots.flat_map { |slot| slot.slot_people.map(&:person_id) }.uniq
        studio.people.where(id: called).where.not(needs: "").order(:name).map { |person| [person.name, person.needs] }
      end

      # Where somebody ran into somebody in what is danced, and nobody has settled it.
      def collisions = @collisions ||= pieces.flat_map { |piece| OpenCollisions.of(piece, sections.map(&:id)) }
      # Clips of what is danced, to look at before.
      def clips = ReferenceClips.new(studio).of(sections)
      def bring = sections.filter_map { |section| section.bring.empty? ? nil : "#{section.name}: #{section.bring}" }

      def watch
        studio.notes.corrections.where(section_id: sections.map(&:id)).includes(:section)
          .map { |each| ["#{each.section.name}#{" #{each.place}" if each.place}", each.text] }
      end

      # What is to be looked at in the room: questions that were put off to it, of the sections that are danced.
      def look
        pieces.flat_map do |piece|
          asked = OpenQuestions.new(piece, PieceSnapshots.of(piece)).all
          here = asked.select { |one| one.way == "room" && sections.map(&:id).include?(one.section.id) }
          here.map { |one| Shared::QuestionWording.new(one.question).look }
        end
      end

      private

      def absences
        studio.absences.joins(:person).merge(studio.people.present).includes(:person)
          .where("from_date <= :d AND to_date >= :d", d: rehearsal.date)
      end

      def away_name(person) = person.name

      # "Ada Quill", or with the hours where it is not the whole day.
      def away_words(name, rows)
        spans = rows.map { |row| [row.from_minute, row.to_minute] }
        return name if spans.any? { |from, to| from.nil? && to.nil? }

        hours = spans.uniq.map { |from, to| Shared::AwayWords.hours(from, to) }
        "#{name} (#{hours.join(', ')})"
      end

      def names(piece) = (@names ||= {})[piece.id] ||= Shared::CallNames.new(piece, posted: posted?)

      # Whether it is for the wall.
      def posted? = false
      def sections = @sections ||= studio.sections.where(id: slots.flat_map(&:section_ids).uniq).order(:position).to_a

      # Ticked, or read from the steps that are danced.
      def hazards
        pieces.flat_map do |piece|
          snapshot = PieceSnapshots.of(piece)
          here = snapshot.work.sections.select { |section| sections.any? { |each| each.id == section.id } }
          here.flat_map { |section| snapshot.danced.hazards(section) }
        end.uniq
      end
    end
  end
end
