# frozen_string_literal: true

require "digest"

module App
  module Shared
    # A form's work done once, whatever is sent twice. Its key is kept with what was sent, where it led and what was
    # said there, in the transaction of the work itself: either all of it is there or nothing. A form that leads nowhere
    # (it was refused, or only looked at something) is not kept, and may be sent again.
    class SubmitOnce
      # kind: :done (by this sending), :again (by an earlier one) or :different (the key was used for something else).
      Outcome = Struct.new(:kind, :answer, :location, :said)
      # For how long a key is known.
      DAYS = 7

      # body: what was sent, and to where.
      def initialize(studio, key, body)
        @studio = studio
        @key = Digest::SHA256.hexdigest(key)
        @digest = Digest::SHA256.hexdigest(JSON.generate(body))
      end

      # The block answers [answer, location or nil, what is said there].
      def run
        done = nil
        Records::Submission.transaction(requires_new: true) do
          next done = earlier unless first?

          answer, location, said = yield
          done = Outcome.new(:done, answer, location, said)
          raise ActiveRecord::Rollback unless location

          mine.update_all(location:, said:)
        end
        done
      end

      private

      # Whether this sending is the first with its key. One that runs at the same time is waited for.
      def first?
        row = { studio_id: @studio.id, key: @key, digest: @digest, created_at: Clock.now }
        Records::Submission.insert_all([row], unique_by: %i[studio_id key], returning: :id).any?
      end

      def mine = @studio.submissions.where(key: @key)

      def earlier
        row = mine.first!
        Outcome.new(row.digest == @digest ? :again : :different, nil, row.location, row.said)
      end
    end
  end
end
