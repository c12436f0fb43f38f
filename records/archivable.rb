# frozen_string_literal: true

module Records
  # What can be archived and restored; nothing of it is lost meanwhile.
  module Archivable
    def archived? = !archived_at.nil?

    # Said twice, the first time counts.
    def archive_or_restore(away, now) = (update!(archived_at: (now if away)) unless away == archived?)
  end
end
