# frozen_string_literal: true

module App
  module Steps
    module Actions
      # Something to watch for, of a section or at one of its counts.
      class AddCorrection
        def initialize(section, params, account)
          @section = section
          @params = params
          @account = account
        end

        def run
          row =
            Records::Correction.new(
              studio: @section.studio,
              section: @section,
              text: @params["text"],
              eight: @params["eight"].presence,
              count: @params["count"].presence,
              by_name: @account.name
            )
          if row.eight && row.eight > @section.eights.count
            return Shared::Result.no({ text: I18n.t("corrections.faults") })
          end

          row.save ? Shared::Result.ok(row) : Shared::Result.no({ text: I18n.t("corrections.faults") })
        end
      end
    end
  end
end
