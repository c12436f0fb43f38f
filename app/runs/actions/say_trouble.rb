# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Says of a trouble spot what it was and whose.
      class SayTrouble
        # words: {kind:, group: Records::Group, people: [ids], everyone:, at: milliseconds, by: key}.
        def initialize(trouble, words)
          @trouble = trouble
          @words = words
        end

        def run
          Records::Base.transaction do
            kind = @words[:kind]
            kind = nil unless Core::Running::Trouble::KINDS.include?(kind)
            @trouble.update!(kind:, group: @words[:group], everyone: @words[:everyone], worded_at: @words[:at],
                             worded_by: @words[:by])
            @trouble.trouble_people.delete_all
            rows = @words[:people].map do |id|
              { studio_id: @trouble.studio_id, trouble_id: @trouble.id, person_id: id, created_at: Shared::Clock.now }
            end
            Records::TroublePerson.insert_all!(rows) if rows.any?
          end
        end
      end
    end
  end
end
