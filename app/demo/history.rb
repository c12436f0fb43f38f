# frozen_string_literal: true

module App
  module Demo
    # The learning log of the rehearsals behind us, as the plan of then would have left it: what was taught, who was
    # away, who is quick. Smoke has not been danced for a while, on purpose.
    class History
      STALE = "Smoke"

      def initialize(piece, plan, account, now)
        @piece = piece
        @plan = plan
        @account = account
        @now = now
        @items = Reading::LearningItems.of(piece)
        @random = Random.new(7)
        @rung = Hash.new(0)
        @rows = []
      end

      def write
        past =
          @plan.slots.includes(:rehearsal, :slot_people)
            .select { |slot| slot.work? && slot.rehearsal.date < @now.to_date }
        past.sort_by { |slot| [slot.rehearsal.date, slot.start_minute] }.each { |slot| rehearse(slot) }
        Records::Mapping::Learnings.append(@piece, @rows)
        teach(past)
      end

      private

      # How far each section had been taught after each lesson.
      def teach(past)
        @plan.slots.includes(:rehearsal).select(&:lesson?)
          .sort_by { |slot| slot.rehearsal.date }
          .group_by(&:section_ids)
          .each do |ids, lessons|
            section = @piece.sections.find { |each| each.id == ids.first }
            task = Core::Planning::Task.new(id: "x", kind: "learn", minutes: lessons.sum(&:minutes))
            lessons.zip(
              Core::Planning::LessonParts.of(task, lessons.map(&:minutes), section.eights.size)
            ) do |slot, (_, eights)|
              if past.include?(slot)
                section.teachings.create!(
                  studio_id: @piece.studio_id,
                  eights:,
                  day: slot.rehearsal.date,
                  by_name: @account.name,
                  created_at: slot.rehearsal.date.to_time(:utc)
                )
              end
            end
          end
      end

      def rehearse(slot)
        present = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
        items_of(slot).each { |item| (present & @items.dancers(item)).each { |person| climb(person, item, slot) } }
      end

      def items_of(slot)
        unless %w[chain run].include?(slot.kind)
          return [@items.all.find { |item| Core::Planning::TaskKey.subject(slot.task_key) == item.key }].compact
        end

        inside =
          @items.all.select do |item|
            item.links.any? { |index| index.between?(slot.from_link, slot.to_link) } &&
              !%i[opening ending].include?(item.kind)
          end
        inside.reject do |item|
          item.name.include?(STALE) || @items.dancers(item).none? { |person| @rung[[person, item.key]].positive? }
        end
      end

      def climb(person, item, slot)
        key = [person, item.key]
        quick = (person % 5) < 3
        step = if @random.rand < (quick ? 0.85 : 0.55)
                 1
               else
                 0
               end
        step += 1 if slot.kind == "learn" && @rung[key].zero?
        most = item.name == STALE ? 3 : 5
        @rung[key] = [@rung[key] + step, most].min
        @rows << row(person, item, slot, [@rung[key], 1].max)
      end

      def row(person, item, slot, rung)
        kind = slot.kind == "learn" ? "taught" : "danced"
        {
          studio_id: @piece.studio_id,
          piece_id: @piece.id,
          person_id: person,
          item_key: item.key,
          client_id: nil,
          kind:,
          rung:,
          account_id: @account.id,
          by_name: @account.name,
          day: slot.rehearsal.date,
          created_at: slot.rehearsal.date.to_time(:utc) + (slot.start_minute * 60)
        }
      end
    end
  end
end
