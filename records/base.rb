# frozen_string_literal: true

require "zlib"

module Records
  # Root of all rows. SQL idioms that more than one model needs live here.
  class Base < ActiveRecord::Base
    self.abstract_class = true

    # Adds rows without loading models; rows are hashes, all with the same keys.
    def self.add_all(rows, returning: nil)
      rows.empty? ? [] : insert_all!(rows, returning:, record_timestamps: false)
    end

    # Adds a row under a key of its sender's (client_id), unless the studio knows that key: then nil. Two that come at
    # the same time are one. Raises what any other conflict raises.
    def self.add_once(facts)
      made = new(facts)
      made.validate!
      row = made.attributes.except("id").compact
      added = insert_all([row], unique_by: %i[studio_id client_id], returning: %i[id]).rows.flatten.first
      added && where(studio_id: row["studio_id"]).find(added)
    end

    # [[value, …], …] of a query that the database plans once a connection and that is answered once a request.
    def self.rows_of(sql, name, given)
      connection.select_all(sql, name, given, preparable: true).cast_values
    end

    # The same for a statement that writes or locks: what was read before is read again.
    def self.done_with(sql, name, given) = connection.exec_query(sql, name, given, prepare: true).cast_values

    # A transaction in which nobody else does the same kind of work on this row (an advisory lock: ticks, which lock
    # cells and then the piece, are never kept waiting by it). The row is read anew inside.
    def alone(work)
      transaction do
        kind = Zlib.crc32("#{self.class.name} #{work}") & 0x7fffffff
        held = "SELECT pg_advisory_xact_lock($1::int, $2::int)::text"
        self.class.connection.exec_query(held, "alone", [kind, id & 0x7fffffff])
        reload
        yield
      end
    end
  end
end
