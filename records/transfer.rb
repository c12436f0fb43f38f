# frozen_string_literal: true

module Records
  # A studio on its way out (pack) or in (unpack). share: how far it is, 0 to 1; report: what became of it.
  class Transfer < Base
    KINDS = %w[pack unpack].freeze
    # sent: nobody has looked at it yet; looked: its manifest was read and nobody has said yes yet.
    STATES = %w[sent looking looked asked working done failed].freeze
    # Tables of which a preview says how many rows come.
    SAID = %w[people pieces sections links eights rehearsals ledger_entries attendance_entries notes].freeze
    # Days a file waits to be fetched.
    DAYS = 7

    belongs_to :studio, optional: true
    belongs_to :account
    validates :kind, inclusion: { in: KINDS }
    validates :state, inclusion: { in: STATES }

    def looking? = %w[sent looking].include?(state)
    def under_way? = looking? || %w[asked working].include?(state)
    def done? = state == "done"

    # Begins the work, or begins it again where whoever did it went away (the queue gives a job to one worker at a
    # time); false where there is nothing to do.
    def begin_work
      now = Time.now
      looking = self.class.where(id:, state: %w[sent looking]).update_all(state: "looking", updated_at: now)
      working = self.class.where(id:, state: %w[asked working]).update_all(state: "working", updated_at: now)
      reload
      (looking + working).positive?
    end

    # How far it is, for others to see while it goes on: apart from the transaction in which it goes on, on a connection
    # of its own; beside it where that transaction is not its own.
    def reach(share, apart:)
      return update_columns(share:) unless apart

      Thread.new { self.class.connection_pool.with_connection { self.class.where(id:).update_all(share:) } }.join
    end
  end
end
