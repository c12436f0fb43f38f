# frozen_string_literal: true

module App
  module People
    module Actions
      # The dates a choreographer can come, one a line (or separated by commas). Empty means: to everything.
      class SetVisits
        MOST = 200

        # was: what the form remembers of how it was opened.
        def initialize(person, text, was)
          @person = person
          @was = was
          @words = text.to_s.split(/[\s,;]+/).reject(&:empty?)
        end

        def run
          bad = @words.find { |word| date(word).nil? }
          return Shared::Result.no({ dates: I18n.t("people.bad_date", text: bad[0, 20]) }) if bad
          return Shared::Result.no({ dates: I18n.t("people.too_many_dates", most: MOST) }) if @words.size > MOST

          @person.studio.alone(:visits) { replace(merged) }
          Shared::Result.ok
        end

        private

        # Date by date: what was added or taken out here, and what somebody else did meanwhile.
        def merged
          typed = @words.map { |word| date(word).iso8601 }.uniq
          VisitsForm.of(@person, typed, was: @was).merged.select { |_, comes| comes == "1" }.keys.sort
        end

        def replace(dates)
          Records::Visit.transaction do
            @person.visits.delete_all
            Records::Visit.add_all(
              dates.map do |date|
                {
                  studio_id: @person.studio_id,
                  person_id: @person.id,
                  date:,
                  created_at: Shared::Clock.now,
                  updated_at: Shared::Clock.now
                }
              end
            )
          end
        end

        def date(word) = Shared::Dates.parse(word)
      end
    end
  end
end
