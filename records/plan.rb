# frozen_string_literal: true

module Records
  # A rehearsal plan of one piece. Published ones are what people were told; they are kept.
  class Plan < Base
    belongs_to :studio
    belongs_to :piece
    has_many :slots, -> { order(:start_minute, :id) }
    UNDER_WAY = %w[waiting running].freeze

    # Progress of the search for a better plan: each is one conditional update, so that whoever asks to stop, and what
    # the search says meanwhile, never overwrite each other.
    def searching? = UNDER_WAY.include?(search["state"])
    def search_goes_on(facts) = note_search(UNDER_WAY, facts)
    def search_stops = note_search(UNDER_WAY, "state" => "stopping")
    def search_ends(facts) = note_search([*UNDER_WAY, "stopping"], "state" => "done", **facts)

    def published? = !published_at.nil?

    private

    def note_search(states, facts)
      rows = Plan.where(id:, studio_id:).where("search->>'state' IN (?)", states)
      rows.update_all(["search = search || ?::jsonb", facts.to_json])
      reload
    end
  end
end
