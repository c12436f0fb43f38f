# frozen_string_literal: true

module Records
  # What a device said in the room, under a key of its own; undone by a further row that names that key.
  module Said
    extend ActiveSupport::Concern

    included do
      scope :in_order, -> { order(:said_at, :id) }
      # Neither undone nor an undoing.
      scope :standing, lambda {
        undoing = "SELECT 1 FROM #{table_name} back WHERE back.studio_id = #{table_name}.studio_id " \
                  "AND back.undoes = #{table_name}.client_id"
        where(undoes: nil).where("NOT EXISTS (#{undoing})")
      }
    end
  end
end
