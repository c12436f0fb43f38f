# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # What was taught in a piece while somebody was not there and they have not seen yet; who shows it to them, when.
      class NewSince
        # So many days back.
        BACK = 35
        KINDS = %w[make learn difference join].freeze
        MOST = 3
        private_constant :BACK, :KINDS, :MOST

        # items, progress: of the piece; now: the studio's local time.
        def initialize(piece, person, now, items:, progress:)
          @piece = piece
          @studio = piece.studio
          @person = person
          @now = now
          @items = items
          @progress = progress
        end

        # ["New since you were here: Drift, eights 1 – 3. Bruno shows you, Thu 10 Dec 17:45."], the newest last.
        def sentences
          return [] if plan.nil? || missed.empty?

          missed.uniq(&:task_key).last(MOST).map do |slot|
            [I18n.t("my_part.new_since", what: what(slot)), shows(slot)].compact.join(" ")
          end
        end

        private

        def plan = @plan ||= @piece.published_plan
        def today = @now.to_date

        # Lessons behind us that they dance, were not there for, and have not seen since.
        def missed
          @missed ||= slots.where(kind: KINDS, rehearsal_id: away).includes(:rehearsal)
            .select { |slot| unseen?(item(slot)) }
            .sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }
        end

        def slots = @studio.slots.where(plan_id: plan.id)

        def unseen?(item)
          item && @items.dancers(item).include?(@person.id) && @progress.rung(@person.id, item.key).zero?
        end

        def item(slot)
          subject = Core::Planning::TaskKey.subject(slot.task_key)
          @items.all.find { |each| each.key == subject }
        end

        # Ids of rehearsals behind us for which they were not there: by the register, else by their own word.
        def away
          behind = @studio.rehearsals.standing.where(date: (today - BACK)...today).pluck(:id, :date)
          marked = @studio.attendances.where(person_id: @person.id, rehearsal_id: behind.map(&:first))
            .pluck(:rehearsal_id, :present).to_h
          behind.select { |id, date| marked.key?(id) ? !marked[id] : said_away?(date) }.map(&:first)
        end

        def said_away?(date)
          @absences ||= @person.absences.where(from_minute: nil, to_minute: nil).pluck(:from_date, :to_date)
          @absences.any? { |first, last| date.between?(first, last) }
        end

        # "Drift", or "Drift, eights 1 – 3" of a part of it.
        def what(slot)
          name = Shared::ItemName.of(item(slot))
          from, to = slot.eights
          return name if from.nil? || slot.kind != "learn" || whole?(slot, from, to)

          "#{name}, #{from == to ? I18n.t('tasks.eight', eight: from) : I18n.t('tasks.eights', from:, to:)}"
        end

        def whole?(slot, from, to)
          section = @piece.sections.find { |each| slot.section_ids == [each.id] }
          section && [from, to] == [1, section.eights.size]
        end

        # Who shows it, and when: the next slot of it that they are called to.
        def shows(slot)
          ahead = next_slot(slot) or return
          names = ahead.slot_people.select { |each| each.role == "teacher" }.map { |each| each.person.first_name }
          words = { day: Shared::Dates.day(ahead.rehearsal.date), at: Formats::Times.clock(ahead.start_minute) }
          return I18n.t("my_part.seen_then", **words) if names.empty?

          I18n.t("my_part.shows_you", names: Shared::Lists.all(names), count: names.size, **words)
        end

        def next_slot(slot)
          subject = item(slot).key
          slots.joins(:rehearsal).where(rehearsals: { date: today.., cancelled_at: nil })
            .where(id: @studio.slot_people.where(person_id: @person.id).select(:slot_id))
            .includes(:rehearsal, slot_people: :person)
            .select { |each| Core::Planning::TaskKey.subject(each.task_key) == subject }
            .min_by { |each| [each.rehearsal.date, each.start_minute] }
        end
      end
    end
  end
end
