# frozen_string_literal: true

module App
  module Room
    module Actions
      # A run is stopped at a place, goes on from one, or ends at one.
      class StepRun < RunEntry
        def run
          return :run unless begun
          return :step unless Records::RunStep::KINDS.include?(@sent.text("step"))
          return :links unless link

          facts = { run_id: begun.id, kind: @sent.text("step"), **place, minute: @sent.minute || 0 }
          status = add(Records::RunStep, said_of_run.merge(facts))
          write_danced if status == :stored
          status
        end
      end
    end
  end
end
