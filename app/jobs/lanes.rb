# frozen_string_literal: true

module App
  module Jobs
    # Who of the worker's threads does what: one does mail and nothing else, so that no mail waits behind a search; two
    # do whatever comes. A search that is asked for is noticed at once, or within the second that the queue is asked.
    module Lanes
      MAIL = 10
      THREADS = [MAIL, nil, nil].freeze
      POLL = 1
    end
  end
end
