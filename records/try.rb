# frozen_string_literal: true

module Records
  # How often something was tried at the doors, in the present stretch of time.
  class Try < Base
    # Counts one more and answers how many there are with it. Tries at the same moment are counted one after another.
    def self.count_one(kind, key, now:, seconds:)
      since = Time.at(now.to_i / seconds * seconds).utc
      row = { kind:, key:, since:, count: 1 }
      more = Arel.sql("count = tries.count + 1")
      upsert(row, unique_by: %i[kind key since], on_duplicate: more, returning: :count).rows.first.first
    end

    def self.forget(kind, key) = where(kind:, key:).delete_all
  end
end
