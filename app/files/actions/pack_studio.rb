# frozen_string_literal: true

module App
  module Files
    module Actions
      # Packs a studio into a file: every row that is its own and every file that is attached. Read in one transaction,
      # so that it is of one moment.
      class PackStudio
        def initialize(transfer)
          @transfer = transfer
          @studio = transfer.studio
        end

        # Answers the transfer's report.
        def run
          @apart = !nested?
          Tempfile.create(["studio", ".zip"]) do |file|
            file.binmode
            Records::Base.transaction(isolation: (:repeatable_read if @apart)) { write(file) }
            file.rewind
            kept = Shared::ArchiveFile.upload(file, :store, metadata: { "filename" => name })
            @transfer.update_columns(file_data: kept.data)
          end
          { "bytes" => @transfer.file_data.dig("metadata", "size"), "files" => uploads.size }
        end

        private

        # A specification runs within a transaction of its own.
        def nested? = Records::Base.connection.transaction_open?
        def name = Shared::TableFile.name([@studio.name, Shared::Clock.now.to_date.iso8601], "zip")

        def write(file)
          done = 0
          whole = tables.size + 1 + uploads.size
          Formats::StudioArchive.render(file, manifest:, tables: each_table, files: each_file) do
            @transfer.reach((done += 1).fdiv(whole), apart: @apart)
          end
        end

        def manifest
          { "studio" => @studio.name, "zone" => @studio.time_zone, "settings" => @studio.settings,
            "made_on" => @studio.today(Shared::Clock.now).iso8601 }
        end

        def tables = Records::Mapping::StudioRows::TABLES

        def each_table
          return enum_for(:each_table) unless block_given?

          tables.each { |table| yield [table, *Records::Mapping::StudioRows.of(@studio, table)] }
          edges = changed_edges
          yield ["changed_edges", JSON.generate(edges), edges.size]
        end

        # Of every join that is agreed, the sides that have changed since: [{"agreement", "changed"}].
        def changed_edges
          @studio.pieces.flat_map { |piece| edges_of(piece) }.uniq
        end

        # Of a piece that cannot be read nobody knows: where it comes in, its joins are to be agreed anew.
        def edges_of(piece)
          Reading::PieceSnapshots.of(piece).standings.filter_map do |standing|
            row = standing.agreement
            { "agreement" => row.id, "changed" => standing.changed.map(&:to_s) } if row
          end
        rescue StandardError => e
          SemanticLogger["Files"].warn("a piece that cannot be read is packed as it stands: #{e.class}")
          []
        end

        def uploads
          @uploads ||= @studio.uploads.where(removed_at: nil).order(:id).select { |upload| file_of(upload).exists? }
        end

        def file_of(upload) = (upload.kind == "track" ? Shared::TrackFile : Shared::ClipFile).kept(upload)

        def each_file
          return enum_for(:each_file) unless block_given?

          uploads.each { |upload| file_of(upload).open { |io| yield upload.id, io } }
        end
      end
    end
  end
end
