# frozen_string_literal: true

module Records
  # Long work that somebody asked for, waiting for its turn, under way or ended. whose: a studio, or an account that has
  # none yet; same: what a newer ask for the same thing replaces.
  class Ask < Base
    belongs_to :studio, optional: true

    scope :waiting, -> { where(begun_at: nil, ended_at: nil) }
    scope :under_way, -> { where.not(begun_at: nil).where(ended_at: nil) }

    # Who has work under way, and when each was served last.
    SERVED = <<~SQL.squish
      SELECT whose, max(begun_at) AS served, bool_or(ended_at IS NULL) AS busy
      FROM asks WHERE begun_at IS NOT NULL GROUP BY whose
    SQL
    # Whoever has nothing under way comes first, then whoever was served longest ago, then whoever asked first.
    TAKE = <<~SQL.squish
      UPDATE asks SET begun_at = clock_timestamp(), job_id = $1 WHERE id = (
        SELECT asks.id FROM asks LEFT JOIN (#{SERVED}) turns USING (whose)
        WHERE asks.begun_at IS NULL AND asks.ended_at IS NULL
        ORDER BY coalesce(busy, false), served NULLS FIRST, asks.id LIMIT 1)
      RETURNING id
    SQL
    # The same order, each one's second ask behind everybody's first.
    PLACE = <<~SQL.squish
      SELECT place FROM (
        SELECT nth.id, row_number() OVER (
          ORDER BY nth, coalesce(busy, false), served NULLS FIRST, nth.id) AS place
        FROM (SELECT *, row_number() OVER (PARTITION BY whose ORDER BY id) AS nth
              FROM asks WHERE begun_at IS NULL AND ended_at IS NULL) nth
        LEFT JOIN (#{SERVED}) turns USING (whose)) places
      WHERE id = $1
    SQL
    # The lock under which turns are taken.
    ONE_AT_A_TIME = Zlib.crc32("asks take turns")
    private_constant :SERVED, :TAKE, :PLACE, :ONE_AT_A_TIME

    # What a job of the queue is to do: what it had begun when its worker went away, or whatever's turn it is; nil where
    # nothing waits. One at a time, so that two workers do not both take the same studio's.
    def self.take(job_id)
      transaction do
        done_with("SELECT pg_advisory_xact_lock($1::bigint)::text", "turns", [ONE_AT_A_TIME])
        under_way.find_by(job_id:) || find_by(id: done_with(TAKE, "take turns", [job_id]).flatten.first)
      end
    end

    # Where it stands among those that wait, 1 next; nil where it does not wait.
    def self.place(work, args)
      id = waiting.where(work:).where("args = ?::jsonb", args.to_json).pick(:id)
      id && rows_of(PLACE, "place", [id]).flatten.first
    end

    def ended = self.class.where(id:).update_all("ended_at = now()")
  end
end
