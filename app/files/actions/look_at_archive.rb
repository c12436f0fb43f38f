# frozen_string_literal: true

module App
  module Files
    module Actions
      # Reads what an archive says of itself, and keeps of that what the preview says and nothing else.
      class LookAtArchive
        # Names of what is left out that are said, and how long each may be.
        NAMED = 20
        LONG = 60

        def initialize(transfer)
          @transfer = transfer
        end

        # The transfer's report. Raises Formats::FaultyFile.
        def run
          said = Shared::Confined.read("manifest", Shared::ArchiveFile.path(@transfer))
          manifest = said.fetch("manifest")
          wrong = wrong_settings(manifest["settings"])
          raise Formats::FaultyFile, wrong if wrong.any?

          @transfer.report.slice("digest").merge(
            "manifest" => kept(manifest), "files" => said["files"], "strangers" => some(said["strangers"]),
            "unknown" => some(unknown(said["tables"]))
          )
        end

        private

        def kept(manifest)
          rows = manifest["rows"].slice(*Records::Transfer::SAID).select { |_, count| count.between?(0, 10**9) }
          { "studio" => manifest["studio"][0, 80], "made_on" => manifest["made_on"].to_s[0, 10], "rows" => rows }
        end

        def some(names) = names.first(NAMED).map { |name| name[0, LONG] }
        def unknown(tables) = tables - Records::Mapping::StudioRows::TABLES - ["changed_edges"]

        # ["the file: manifest.json: settings.erase_after: \"soon\" is none that it may be"]
        def wrong_settings(given)
          known = Records::StudioSettings.known(given)
          Records::StudioSettings.wrong(known).map do |name|
            "the file: manifest.json says #{known[name].to_json[0, 40]} for #{name}, which it may not be"
          end
        end
      end
    end
  end
end
