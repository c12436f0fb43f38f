# frozen_string_literal: true

module App
  module Jobs
    # A job inside which the worker died again and again is set aside, so that it takes the worker from nobody else. How
    # often it was begun without coming to an end, well or in an error, is counted in its own row of the queue.
    module SetAside
      MOST = 5
      BEGIN_ONCE_MORE = <<~SQL.squish
        UPDATE que_jobs SET data = data || jsonb_build_object('begun', coalesce((data->>'begun')::int, 0) + 1)
        WHERE id = $1 RETURNING (data->>'begun')::int
      SQL
      CAME_TO_AN_END = "UPDATE que_jobs SET data = data - 'begun' WHERE id = $1"
      NAME_IT = "UPDATE que_jobs SET last_error_message = $2 WHERE id = $1"
      # What is set aside, and what failed so often that nobody tries it any more: {kind of job => how many}.
      ALL = "SELECT job_class, count(*) FROM que_jobs WHERE expired_at IS NOT NULL GROUP BY job_class ORDER BY 1"

      module_function

      # Around every job of the worker (Que's job middleware).
      def around(job)
        id = job.que_attrs.fetch(:id)
        return drop(job, id) if Records::Base.done_with(BEGIN_ONCE_MORE, "begin", [id]).flatten.first.to_i > MOST

        yield
        Records::Base.done_with(CAME_TO_AN_END, "end", [id])
      end

      def drop(job, id)
        name = "the worker died #{MOST} times in #{job.class.name} #{job.que_attrs[:args].to_a.join(' ')}".strip
        SemanticLogger["Worker"].error("set aside: #{name}")
        Next.dropped(id) if job.is_a?(Next)
        Records::Base.done_with(NAME_IT, "set aside", [id, name])
        Que.execute(:expire_job, [id])
        job.que_resolved = true
      end

      def counted = Records::Base.rows_of(ALL, "set aside", []).to_h
    end
  end
end
