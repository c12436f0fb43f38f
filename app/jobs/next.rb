# frozen_string_literal: true

module App
  module Jobs
    # Does the long work whose turn it is. The queue holds one of these for every ask; which ask it serves is found out
    # when it begins. Where its worker went away in it, it goes on with what it had begun.
    class Next < Que::Job
      WORK = [WorkOutPlans, ImprovePlan, MoveStudio].to_h { |work| [work::WORK, work] }.freeze

      # What a job was doing will not be done: its worker died in it too often.
      def self.dropped(job_id)
        Records::Ask.under_way.where(job_id:).each do |ask|
          ask.ended
          WORK.fetch(ask.work).new.dropped(*ask.args)
        end
      end

      def run
        ask = Records::Ask.take(que_attrs[:id])
        return unless ask

        WORK.fetch(ask.work).run(*ask.args)
        ask.ended
      rescue StandardError => e
        raise if Records::DatabaseAway.behind?(e)

        WORK.fetch(ask.work).new.dropped(*ask.args) if ask
        ask&.ended
        SemanticLogger["Worker"].error("#{ask&.work} #{ask&.args&.join(' ')}", e)
      end
    end
  end
end
