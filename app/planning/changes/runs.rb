# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Another number of full runs.
      class Runs < Change
        def valid? = !count.nil?
        def facts = settings("full_runs" => count)

        private

        def count = whole("count", 0..20)
        def words = { count: }
        def accept = accept_facts
      end
    end
  end
end
