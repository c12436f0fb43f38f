# frozen_string_literal: true

module App
  module Actions
    # Whether database, migrations and worker are as they should be.
    class Readiness
      MIGRATIONS = File.join(Settings::ROOT, "db", "migrate")

      def initialize(now) = @now = now

      def report
        { database: database?, migrations: migrations?, worker: worker? }
      end

      private

      def database? = ActiveRecord::Base.connection.select_value("SELECT 1") == 1
      def migrations? = !ActiveRecord::MigrationContext.new(MIGRATIONS).needs_migration?
      def worker? = Records::Heartbeat.alive?("worker", @now)

      %i[database? migrations? worker?].each do |check|
        asked = instance_method(check)
        define_method(check) do
          asked.bind_call(self)
        rescue ActiveRecord::ActiveRecordError
          false
        end
      end

      check
    end
  end
end
