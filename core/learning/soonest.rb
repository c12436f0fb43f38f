# frozen_string_literal: true

module Core
  module Learning
    # What would lift a block soonest: the first slot of the plan by which enough of those lacking will have been called
    # to it. A slot brings people on by what it is; it promises nothing.
    class Soonest
      # id: of the slot; day, minute: when; works_on: item keys; people: who is called.
      Slot = Struct.new(:id, :day, :minute, :works_on, :people, keyword_init: true)

      # slots: [Slot] that lie ahead.
      def initialize(slots) = @slots = slots.sort_by { |slot| [slot.day, slot.minute] }

      # The Slot that lifts a Readiness::Block, or nil where none of the plan does.
      def slot(block)
        reached = Set.new
        @slots.find do |slot|
          next false unless slot.works_on.include?(block.item.key)

          reached.merge(block.lacking & slot.people)
          reached.size >= block.more
        end
      end
    end
  end
end
