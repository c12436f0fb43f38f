# frozen_string_literal: true

module App
  module Jobs
    # What the worker does from time to time beside the queue. A chore that fails for one studio, or as a whole, is that
    # one's alone: it is named in the log and tried again the next time, and everything else goes on.
    class Chores
      # {chore => seconds between}
      ALL = { Tidy => Tidy::EVERY, DailyLetter => DailyLetter::EVERY }.freeze

      # A block whose error is nobody else's. A database that went away is everybody's.
      def self.alone(name)
        yield
      rescue StandardError => e
        raise if Records::DatabaseAway.behind?(e)

        SemanticLogger["Worker"].error("a chore failed: #{name}", e)
      end

      def initialize = @done = {}

      def run(now)
        ALL.each do |chore, every|
          next if @done[chore] && now - @done[chore] < every

          @done[chore] = now
          self.class.alone(chore.name) { chore.run(now) }
        end
      end
    end
  end
end
