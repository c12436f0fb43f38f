# frozen_string_literal: true

module Records
  # When a process last said that it is alive.
  class Heartbeat < Base
    FRESH = 30

    def self.beat(name, now) = upsert({ name:, beat_at: now }, unique_by: :name)
    def self.alive?(name, now) = where(name:).where("beat_at > ?", now - FRESH).exists?
  end
end
