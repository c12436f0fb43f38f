# frozen_string_literal: true

module App
  module Files
    module Pages
      # An archive on its way in: what it says of itself, what stays behind, how far it is.
      class Unpack
        attr_reader :transfer

        def initialize(transfer) = @transfer = transfer

        def title = I18n.t("files.archive.unpack")
        def report = transfer.report
        def manifest = report.fetch("manifest", {})
        def faults = report.fetch("faults", [])
        def studio = transfer.studio
        def not_kept = report.fetch("not_kept", 0)
        def doing = transfer.looking? ? "being looked at" : "being unpacked"

        # "Thornbeck Youth Dance, packed on Tue 2 Feb 2027"
        def heading
          day = Shared::Dates.parse(manifest["made_on"])
          [manifest["studio"], (I18n.t("files.archive.made_on", day: Shared::Dates.day(day, year: true)) if day)]
            .compact.join(", ")
        end

        # [sentence] of how much of what there is.
        def amounts
          rows = manifest.fetch("rows", {}).select { |_, count| count.positive? }
          rows.slice(*Records::Transfer::SAID).map { |table, count| I18n.t("files.archive.rows.#{table}", count:) }
        end

        # [sentence] about what does not come with it.
        def left_out
          strange = [*report["strangers"], *report["unknown"]]
          unknown = I18n.t("files.archive.strangers", names: strange.join(", ")) if strange.any?
          [I18n.t("files.archive.left_out"), unknown].compact
        end

        # Rows that hung on something that was not there.
        def dropped = report.fetch("dropped", {}).map { |table, count| "#{table.tr('_', ' ')}: #{count}" }
      end
    end
  end
end
