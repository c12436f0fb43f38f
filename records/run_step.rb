# frozen_string_literal: true

module Records
  # What became of a run: it was stopped at a place, went on from one, or ended at one. at: twelfths into the eight.
  class RunStep < Base
    include Said

    KINDS = %w[stop go end].freeze
    # What a row says beside who and when.
    SAID = %i[run_id kind link_id row at minute].freeze

    belongs_to :studio
    belongs_to :run
  end
end
