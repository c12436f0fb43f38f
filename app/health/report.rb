# frozen_string_literal: true

module App
  module Health
    # Whether database, migrations and worker are as they should be.
    class Report
      MIGRATIONS = File.join(Settings::ROOT, "db", "migrate")

      def initialize(now) = @now = now

      def report
        { database: true?(-> { ActiveRecord::Base.connection.select_value("SELECT 1") == 1 }),
          migrations: true?(-> { !ActiveRecord::MigrationContext.new(MIGRATIONS).needs_migration? }),
          worker: true?(-> { Records::Heartbeat.alive?("worker", @now) }) }
      end

      # Jobs that nobody tries any more, by kind: for whoever looks after the machine.
      def set_aside
        Jobs::SetAside.counted
      rescue ActiveRecord::ActiveRecordError
        {}
      end

      private

      # A check that cannot even be asked has failed.
      def true?(check)
        check.call
      rescue ActiveRecord::ActiveRecordError
        false
      end
    end
  end
end
