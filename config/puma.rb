# frozen_string_literal: true

environment ENV.fetch("APP_ENV", "development")
threads 2, Integer(ENV.fetch("WEB_THREADS", "5"))
require_relative "body_gate"
bind "tcp://#{ENV.fetch('BIND', '127.0.0.1')}:#{ENV.fetch('PORT', '9292')}"
silence_single_worker_warning
log_requests false
quiet
raise_exception_on_sigterm false

# Processes that share what was loaded before they were forked; connections and log writers are each one's own.
processes = ENV["APP_ENV"] == "test" ? 1 : Integer(ENV.fetch("WEB_PROCESSES", "2"))
if processes > 1
  workers processes
  preload_app!
  before_fork { ActiveRecord::Base.connection_handler.clear_all_connections! }
  before_worker_boot { SemanticLogger.reopen }
end
