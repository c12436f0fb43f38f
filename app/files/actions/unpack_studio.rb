# frozen_string_literal: true

module App
  module Files
    module Actions
      # Makes a new studio of an archive: all of it or nothing. Whoever sent it directs it. Nothing of another studio is
      # touched.
      class UnpackStudio
        Rows = Records::Mapping::StudioRows
        private_constant :Rows

        # What of a row cannot stand is said by its model.
        CHECKED = %w[people pieces sections groups eights parts rooms rehearsals tracks links].freeze

        # What stands where a file is not kept.
        GONE = { "id" => "gone", "storage" => "store", "metadata" => {} }.freeze

        # archive: what Formats::StudioArchive.of answers; parts: FolderParts, where its files stand.
        def initialize(transfer, archive, parts)
          @transfer = transfer
          @archive = archive
          @parts = parts
          @renumbered = Records::Mapping::Renumbered.new
          @dropped = Hash.new(0)
        end

        # Answers the transfer's report. Raises Formats::FaultyFile with what is wrong.
        def run
          @apart = !Records::Base.connection.transaction_open?
          Records::Base.transaction(requires_new: true) { make }
          @transfer.update_columns(studio_id: @studio.id)
          { "studio" => @studio.name, "dropped" => @dropped, "files" => @files, "not_kept" => @not_kept }
        rescue ActiveRecord::StatementInvalid => e
          refuse("a row of #{@table} cannot be kept: #{first_line(e.cause)}")
        rescue ActiveRecord::RecordInvalid, Core::ValueError, TypeError, NoMethodError, KeyError => e
          refuse("#{@table || 'a piece'} cannot be read: #{first_line(e)}")
        end

        private

        def refuse(why) = raise(Formats::FaultyFile, ["the file: #{why}"])
        def first_line(error) = error&.message.to_s.lines.first.to_s.strip[0, 160]

        def make
          @studio = begin_studio
          sources = Rows::TABLES.select { |table| @archive.tables.include?(table) }
          rows = sources.to_h { |table| [table, @renumbered.number(table, @archive.rows(table))] }
          sources.each_with_index do |table, i|
            add(table, rows.fetch(table))
            @transfer.reach((i + 1).fdiv(sources.size + 2), apart: @apart)
          end
          check
          @studio.pieces.each { |piece| settle(piece) }
          keep_files
        end

        def begin_studio
          manifest = @archive.manifest
          settings = Records::StudioSettings.known(manifest["settings"])
          zone = Shared::Clock.zones.include?(manifest["zone"]) ? manifest["zone"] : "Europe/London"
          studio = Records::Studio.create!(name: manifest["studio"][0, 80], time_zone: zone, settings:)
          studio.memberships.create!(account: @transfer.account, role: "director")
          studio
        end

        def add(table, given)
          @table = table
          known = { references: Rows.references(table), columns: Rows.columns(table), optional: Rows.optional(table),
                    defaults: defaults(table) }
          kinds = kinds(table)
          given.each { |row| kinds.look(row) }
          given.each { |row| row["settings"] = Formats::PieceFile.settings(row["settings"] || {}) } if table == "pieces"
          made = given.filter_map { |row| @renumbered.row(table, row, **known) }
          @dropped[table] += given.size - made.size if made.size < given.size
          # An agreement is never changed once it is there: it waits until its piece can be read.
          table == "agreements" ? @agreements = made : put(table, made)
          @table = nil
        end

        def kinds(table) = Records::Mapping::ColumnKinds.new(table)

        def put(table, made)
          more = { "studio_id" => @studio.id, **(table == "plans" ? { "search" => {} } : {}) }
          Rows.add(table, made.map { |row| row.merge(more) })
        end

        # What an archive of an older version does not know.
        def defaults(table)
          @defaults ||= {}
          @defaults[table] ||= Records::Base.connection.columns(table).reject { |column| column.default.nil? }
            .to_h { |column| [column.name, plain_default(column)] }
        end

        def plain_default(column)
          %i[jsonb json].include?(column.type) ? JSON.parse(column.default) : column.default
        end

        def check
          CHECKED.each do |table|
            @table = table
            @studio.public_send(table).find_each { |row| row.invalid? && raise(ActiveRecord::RecordInvalid, row) }
          end
          @table = nil
        end

        # Attached files, looked at and stripped as if somebody sent them; a row whose file did not come, or is none
        # that would be taken, is of a file that was taken away.
        def keep_files
          @files = 0
          @not_kept = 0
          here = @archive.files
          @renumbered.maps["uploads"].each do |old, new|
            upload = @studio.uploads.find_by(id: new) or next
            kept = upload.removed_at.nil? && here.include?(old) && keep_file(upload, @parts.path("files/#{old}"))
            @not_kept += 1 if here.include?(old) && !kept
            upload.update_columns(file_data: GONE, removed_at: upload.removed_at || Shared::Clock.now) unless kept
          end
        end

        def keep_file(upload, path)
          store = upload.kind == "track" ? Shared::TrackFile : Shared::ClipFile
          looked = File.open(path, "rb") { |file| store.look(file) }
          return false if looked.stop

          name = Shared::FileName.of(upload.name) || "file"
          store.stripped(path, looked.codec) do |copy|
            kept = store.upload(copy, :store, metadata: { "filename" => name })
            upload.update_columns(file_data: kept.data)
            @files += 1
          end
        end

        # The piece is read as every screen reads it, what was agreed of it is set on the edges as they are, and it is
        # kept as the first version of its structure.
        def settle(piece)
          review = Reading::PieceSnapshots::Snapshot.new(piece).review
          seams = review.joins.to_h { |held| [held.join.key, held.seam] }
          own = @agreements.to_a.select { |row| row["piece_id"] == piece.id }
          put("agreements", own.map { |row| row.merge(edges(row, seams[row["join_key"]])) })
          piece.touch
          Shared::KeepRevision.new(piece, @transfer.account).record(I18n.t("files.taken_in"))
          Reading::PieceSnapshots::Snapshot.new(piece.reload).standings.each(&:state)
        end

        # The digests of an agreement's edges: as they are here where they had not changed where it came from.
        def edges(row, seam)
          changed = changed_of.fetch(row["id"], Formats::PieceFile::SIDES)
          now = seam && Core::Joins::Agreement.of(seam)
          Formats::PieceFile::SIDES.to_h do |side|
            ["#{side}_digest", now && !changed.include?(side) ? now.public_send(side) : PieceMore::OTHER]
          end
        end

        # {agreement's new number => sides that had changed}.
        def changed_of
          @changed_of ||= (@archive.tables.include?("changed_edges") ? @archive.rows("changed_edges") : [])
            .to_h { |row| [@renumbered.maps["agreements"][row["agreement"]], Array(row["changed"])] }
        end
      end
    end
  end
end
