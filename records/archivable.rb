# frozen_string_literal: true

module Records
  # What can be archived and restored; nothing of it is lost meanwhile.
  module Archivable
    def archived? = !archived_at.nil?

    def archive_or_restore(now) = update!(archived_at: archived? ? nil : now)
  end
end
