# frozen_string_literal: true

module App
  module Reading
    # Drills that the plan still has to find room for: those that are open and in no rehearsal to come.
    module DrillWishes
      module_function

      # [Core::Planning::Schools::Runs::Drill].
      def of(piece, order, items, today:)
        index = order.links.to_h { |placed| [placed.link.id.to_i, placed.index] }
        piece.drills.open.includes(:rehearsal, :drill_people).reject { |row| placed?(row, today) }.filter_map do |row|
          from, to = index.values_at(row.from_link_id, row.to_link_id)
          wish(row, (from..to).to_a, order, items) if from && to && from <= to
        end
      end

      def placed?(row, today)
        row.rehearsal && row.rehearsal.cancelled_at.nil? && row.rehearsal.date >= today && slot?(row)
      end

      # Whether the slot it went into is in the plan that people go by: another plan may have been told since.
      def slot?(row)
        plan = row.slot && row.piece.published_plan
        !plan.nil? && plan.slots.exists?(rehearsal_id: row.rehearsal_id, task_key: row.slot.task_key)
      end

      def wish(row, links, order, items)
        everybody = links.map { |link| items.in_link(link) }.reduce([], :|)
        named = row.drill_people.map(&:person_id) & everybody
        Core::Planning::Schools::Runs::Drill.new(
          subject: row.id.to_s, minutes: row.minutes, dancers: named.empty? ? everybody : named, links:,
          title: title(order, links)
        )
      end

      # "Smoke" or "Smoke to Swarm".
      def title(order, links)
        first, last = links.values_at(0, -1).map { |link| order.links[link - 1].name }
        links.one? ? first : I18n.t("runs.span", from: first, to: last)
      end
    end
  end
end
