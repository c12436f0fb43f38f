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
          first = @studio.submissions.create!(key: @key, created_at: Clock.now)
          yield.tap { |location| first.update!(location:) }
        end
      rescue ActiveRecord::RecordNotUnique
        @studio.submissions.find_by!(key: @key).location
      end
    end
  end
end
