# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Takes a run back that was none (somebody tried the screen): what it said of who danced what goes with it.
      class TakeBackRun
        def initialize(run, member, now)
          @run = run
          @member = member
          @now = now
        end

        def run
          Records::Base.transaction do
            Records::Run.insert_all!([row])
            WriteDanced.new(@run, @member, @now).run
          end
        end

        private

        def row
          now = Shared::Clock.now
          { **@run.attributes.symbolize_keys.slice(:studio_id, :rehearsal_id, *Records::Run::SAID),
            said_at: (now.to_f * 1000).to_i, by_name: @member.account.name, created_at: now,
            client_id: "desk-#{SecureRandom.hex(12)}", undoes: @run.client_id }
        end
      end
    end
  end
end
