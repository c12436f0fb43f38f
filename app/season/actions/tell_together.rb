# frozen_string_literal: true

module App
  module Season
    module Actions
      # Tells the drafts that were made as one season, all or none of them. Value: how many people are affected.
      class TellTogether
        # homes: of how many homes somebody agreed that their next two days change.
        def initialize(studio, together, now, homes: Float::INFINITY)
          @studio = studio
          @together = together
          @now = now
          @homes = homes
        end

        def run
          plans = Together.drafts(@studio).fetch(@together, [])
          return Shared::Result.no({ base: I18n.t("season.no_drafts") }) if plans.empty?

          told(plans)
        rescue Refused => e
          e.result
        end

        # One of them could not be told: nothing was.
        class Refused < StandardError
          attr_reader :result

          def initialize(result)
            @result = result
            super("one of the plans is not told")
          end
        end
        private_constant :Refused

        private

        def told(plans)
          people = Records::Plan.transaction(requires_new: true) do
            plans.flat_map do |plan|
              result = Planning::Actions::Publish.new(plan, @now, homes: @homes, among: plans).run
              raise Refused, result unless result.ok?

              result.value.keys
            end
          end
          Shared::Result.ok(people.uniq.size)
        end
      end
    end
  end
end
