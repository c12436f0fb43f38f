# frozen_string_literal: true

module Records
  # Root of all rows. SQL idioms that more than one model needs live here.
  class Base < ActiveRecord::Base
    self.abstract_class = true

    # Adds rows without loading models; rows are hashes, all with the same keys.
    def self.add_all(rows, returning: nil)
      rows.empty? ? [] : insert_all!(rows, returning:, record_timestamps: false)
    end
  end
end
