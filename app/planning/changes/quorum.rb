# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Another share of their dancers with which lessons go ahead.
      class Quorum < Change
        def valid? = !share.nil?
        def facts = settings("quorum" => share / 100.0)

        private

        def share = whole("share", 50..100)
        def words = { percent: share }
        def accept = accept_facts
      end
    end
  end
end
