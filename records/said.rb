# frozen_string_literal: true

module Records
  # What a device said in the room, under a key of its own; undone by a further row that names that key.
  module Said
    extend ActiveSupport::Concern

    included { scope :in_order, -> { order(:said_at, :id) } }

    class_methods do
      # Neither undone nor an undoing.
      def standing
        back = arel_table.alias("back")
        named = back[:studio_id].eq(arel_table[:studio_id]).and(back[:undoes].eq(arel_table[:client_id]))
        where(undoes: nil).where(Arel::SelectManager.new(back).project(back[:id]).where(named).exists.not)
      end
    end
  end
end
