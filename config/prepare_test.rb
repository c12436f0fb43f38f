# frozen_string_literal: true

# Brings the first test database up to date and copies it for the second process, where that one is not the same.
require "bundler/setup"
require "open3"
require "pg"

BASE = ENV.fetch("TEST_DATABASE_BASE")

def migrate(name)
  env = { "DATABASE_URL" => "#{BASE}/#{name}", "APP_ENV" => "test" }
  output, status = Open3.capture2e(env, File.expand_path("../bin/migrate", __dir__))
  status.success? || abort(output)
end

# Versions of the migrations that a database has seen, or none where it is not there.
def versions(name)
  base = PG.connect("#{BASE}/#{name}")
  base.exec("SELECT version FROM schema_migrations ORDER BY version").values.flatten
rescue PG::Error
  []
ensure
  base&.close
end

migrate("joinchain_test")
exit if versions("joinchain_test2") == versions("joinchain_test")

begin
  server = PG.connect("#{BASE}/postgres")
  server.exec("DROP DATABASE IF EXISTS joinchain_test2")
  server.exec("CREATE DATABASE joinchain_test2 TEMPLATE joinchain_test")
rescue PG::Error # somebody is in one of them: the long way
  migrate("joinchain_test2")
ensure
  server&.close
end
