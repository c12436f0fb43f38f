# frozen_string_literal: true

# Work on several connections at once, for specs marked :committed.
module Concurrently
  # Runs each block on a connection of its own.
  def together(*blocks)
    gate = Queue.new
    threads = blocks.map { |block| Thread.new { Records::Base.connection_pool.with_connection { block.call(gate) } } }
    threads.each(&:join)
  end

  # Looked up among the locks, which are read live (what a session does is read once a transaction).
  def somebody_waits?
    Records::Base.connection.select_value("SELECT 1 FROM pg_locks WHERE NOT granted LIMIT 1")
  end

  # Answers of two blocks of which the second comes while the first has done its work and not yet committed it.
  def while_uncommitted(first, second)
    answers = {}
    first_is_in = Queue.new
    together(
      lambda do |_|
        Records::Base.transaction do
          answers[:first] = first.call
          first_is_in << true
          200.times { somebody_waits? ? break : sleep(0.01) }
        end
      end,
      lambda do |_|
        first_is_in.pop
        answers[:second] = second.call
      end
    )
    answers.values_at(:first, :second)
  end
end
