# frozen_string_literal: true

module App
  module Season
    module Actions
      # Reminds those who have not said when they can come: on their own page, and those of the team by a mail. Once a
      # week at the most. Value: how many are reminded.
      class AskDays
        def initialize(studio, today)
          @studio = studio
          @today = today
          @silent = Reading::NotSaid.new(studio, today)
        end

        def run
          return Shared::Result.no({ base: too_soon }) unless @silent.may_ask?

          people = @silent.people
          @studio.update!(days_asked_on: @today)
          @studio.memberships.where(person_id: people.map(&:id)).includes(:account).find_each { |one| tell(one) }
          Shared::Result.ok(people.size)
        end

        private

        def too_soon = I18n.t("not_said.too_soon", day: Shared::Dates.day(@silent.again_on))

        def tell(membership)
          Shared::Post.new(@studio).tell(membership, topic: "calls", template: "say_days",
                                                     link: "#{Settings.app_url}/people/#{membership.person_id}")
        end
      end
    end
  end
end
