# frozen_string_literal: true

# Exit 0 when somebody else is connected to the cluster (a spec run, say), so that it is left running.
require "bundler/setup"
require "pg"
connection = PG.connect(ENV.fetch("DATABASE_URL"))
others =
  connection
    .exec("SELECT count(*) FROM pg_stat_activity WHERE datname IS NOT NULL AND pid <> pg_backend_pid()")
    .getvalue(0, 0)
    .to_i
exit others.positive?
