# frozen_string_literal: true

module App
  module Calls
    module Actions
      # The next rehearsal's recap, told before this one was held, names what was to be new here. What was dropped was
      # not danced, and is not named there any more; nobody's times change by it.
      class RecapAnew
        # slots: of the rehearsal that was confirmed.
        def initialize(rehearsal, slots)
          @rehearsal = rehearsal
          @studio = rehearsal.studio
          @slots = slots
        end

        def run
          dropped = Records::EveningStep.dropped_in(@rehearsal).pluck(:slot_id)
          lost, held = @slots.select(&:work?).partition { |slot| dropped.include?(slot.id) }
          gone = lost.map { |slot| name(slot) } - held.map { |slot| name(slot) }
          recaps(lost.map(&:plan).uniq).each { |slot| name_anew(slot, gone) } if gone.any?
        end

        private

        # As a recap names it: by its links.
        def name(slot)
          edge = Reading::TaskTitles.edge(slot.task_key)
          return I18n.t("tasks.the.#{edge}") if edge

          order = Reading::PieceSnapshots.of(slot.plan.piece).work.order
          [slot.from_link, slot.to_link].compact.uniq.filter_map { |at| order.links[at - 1]&.name }.join(" into ")
        end

        # Of the first rehearsal after it that recaps something, in the same plan.
        def recaps(plans)
          rows = @studio.slots.joins(:rehearsal).where(plan: plans, kind: "recap")
          rows = rows.where("rehearsals.date > ?", @rehearsal.date).reorder("rehearsals.date").to_a
          rows.take_while { |slot| slot.rehearsal_id == rows.first.rehearsal_id }
        end

        def name_anew(slot, gone)
          left = slot.names - gone
          return if left == slot.names

          title = left.any? ? I18n.t("tasks.recap", names: Shared::Lists.all(left)) : I18n.t("tasks.recap_open")
          slot.update!(names: left, title:)
        end
      end
    end
  end
end
