# frozen_string_literal: true

module App
  module Shared
    # A form's work done once, whatever is sent twice. Its key is remembered with where it led.
    class SubmitOnce
      def initialize(studio, key)
        @studio = studio
        @key = key.to_s[0, 64]
      end

      # The block answers where to go next.
      def run
        return yield if @key.empty?

        Records::Submission.transaction do
          next led_to unless first?

          location = yield
          @studio.submissions.where(key: @key).update_all(location:)
          location
        end
      end

      private

      # Whether this sending is the first with its key. One that runs at the same time is waited for.
      def first?
        row = { studio_id: @studio.id, key: @key, created_at: Clock.now }
        Records::Submission.insert_all([row], unique_by: %i[studio_id key], returning: :id).any?
      end

      def led_to = @studio.submissions.find_by!(key: @key).location
    end
  end
end
