# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Says of a trouble spot what it was and whose.
      class SayTrouble
        # words: {kind:, group: Records::Group, people: [ids], everyone:, at: milliseconds, by: key}.
        def initialize(trouble, words = {})
          @trouble = trouble
          @words = words
        end

        def run
          Records::Base.transaction do
            @trouble.lock!
            kind = @words[:kind]
            kind = nil unless Core::Running::Trouble::KINDS.include?(kind)
            before = now
            @trouble.update!(kind:, group: @words[:group], everyone: @words[:everyone], worded_at: @words[:at],
                             worded_by: @words[:by], said_before: before)
            name(@words[:people])
          end
        end

        # Takes the newest words back: what was said before them stands again. Whether there was something to take back.
        def take_back(key)
          Records::Base.transaction do
            @trouble.lock!
            before = @trouble.said_before
            next false unless @trouble.worded_by == key && before.any?

            @trouble.update!(**before.except("people"), said_before: {})
            name(@trouble.studio.people.where(id: before["people"]).ids)
            true
          end
        end

        private

        def now
          @trouble.slice(:kind, :group_id, :everyone, :worded_at, :worded_by)
            .merge("people" => @trouble.trouble_people.pluck(:person_id))
        end

        def name(people)
          @trouble.trouble_people.delete_all
          rows = people.map do |id|
            { studio_id: @trouble.studio_id, trouble_id: @trouble.id, person_id: id, created_at: Shared::Clock.now }
          end
          Records::TroublePerson.insert_all!(rows) if rows.any?
        end
      end
    end
  end
end
