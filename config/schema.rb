# frozen_string_literal: true

require "open3"

# The tables of a new database: what all migrations of the first release leave, in one file (db/structure.sql, written
# by bin/schema). Whatever is newer runs as a migration on top of it, as in a database that was there before.
module Schema
  FILE = File.expand_path("../db/structure.sql", __dir__)
  MIGRATIONS = File.expand_path("../db/migrate", __dir__)
  LOCK = 20_261_202
  # What pg_dump says of itself and of its session, other from release to release.
  IDLE = /\A(?:--.*|SET .*|SELECT pg_catalog\.set_config.*|\\.*|\s*)\n\z/

  class << self
    # Brings the connected database up to date, an empty one by the file.
    def bring_up(from_file: true)
      load(ActiveRecord::Base.connection) if from_file
      context = ActiveRecord::MigrationContext.new(MIGRATIONS)
      context.migrate if context.needs_migration?
    end

    # The tables, triggers and versions of a database as SQL; raises with what pg_dump says where it cannot.
    def dump(url)
      text, said, status = Open3.capture3("pg_dump", "--schema-only", "--no-owner", "--no-privileges", url)
      raise said unless status.success?

      text.lines.grep_v(IDLE).join + versions
    end

    private

    # Another process may be at it at the same time: whoever comes second finds it done.
    def load(connection)
      connection.transaction do
        connection.execute("SELECT pg_advisory_xact_lock(#{LOCK})")
        connection.execute("SET LOCAL check_function_bodies = off") # functions stand before the tables they name
        connection.raw_connection.exec(File.read(FILE)) unless connection.table_exists?("schema_migrations")
      end
      connection.schema_cache.clear!
    end

    def versions
      seen = Dir.children(MIGRATIONS).map(&:to_i).sort
      "INSERT INTO public.schema_migrations (version) VALUES\n#{seen.map { |each| "  ('#{each}')" }.join(",\n")};\n"
    end
  end
end
