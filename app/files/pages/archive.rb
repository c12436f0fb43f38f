# frozen_string_literal: true

module App
  module Files
    module Pages
      # A studio on its way out: the pack that is being made, or there to be fetched.
      class Archive
        def initialize(studio) = @studio = studio
        def title = I18n.t("files.archive.title")
        def screen = :home
        def transfer = @transfer ||= @studio.transfers.where(kind: "pack").order(:id).last
        def there? = transfer&.done? && Shared::ArchiveFile.path(transfer)
        def made_on = Shared::Dates.day(@studio.local(transfer.created_at).to_date, year: true)
        def megabytes = [(transfer.report["bytes"].to_i / 1_000_000.0).round(1), 0.1].max
        def faults = transfer ? transfer.report.fetch("faults", []) : []
      end
    end
  end
end
