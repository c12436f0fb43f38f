# frozen_string_literal: true

module App
  module Files
    # A whole studio as one file: packed by the worker and fetched; looked at, then unpacked as a studio of its own.
    module ArchiveRoutes
      # What both ways need.
      module Moving
        def packs = studio.transfers.where(kind: "pack")
        def unpacks = account.transfers.where(kind: "unpack")

        # "stopped" where it failed, or was looked at: the page says so.
        def progress_of(transfer)
          going = transfer.done? || transfer.under_way?
          json({ state: going ? transfer.state : "stopped", share: transfer.share,
                 place: Jobs::MoveStudio.place(transfer.id) })
        end
      end

      def self.registered(app)
        app.helpers Moving
        out(app)
        incoming(app)
      end

      def self.out(app)
        app.allow(:director, get: "/files/archive") { page "files/archive", Pages::Archive.new(studio) }
        app.allow :director, post: "/files/archive" do
          Actions::AskToPack.new(studio, account).run
          redirect "/files/archive"
        end
        app.allow(:director, get: "/files/archive/:id/progress") { progress_of(find(packs)) }
        app.allow :director, get: "/files/archive/:id.zip" do
          transfer = find(packs)
          path = Shared::ArchiveFile.path(transfer) || halt(404)
          beside
          send_file path, type: "application/zip", disposition: :attachment,
                          filename: transfer.file_data.dig("metadata", "filename")
        end
      end

      def self.incoming(app)
        app.allow(:account, get: "/studios/archive") do
          page "files/unpack_door", Pages::UnpackDoor.new, layout: :plain
        end
        app.allow :account, post: "/studios/archive", takes: { file: :upload } do
          result = Actions::KeepArchive.new(account, params["file"]).run
          unless result.ok?
            next page("files/unpack_door", Pages::UnpackDoor.new(result.errors[:file]), layout: :plain, status: 422)
          end

          redirect "/studios/archive/#{result.value.id}"
        end
        app.allow :account, get: "/studios/archive/:id" do
          page "files/unpack", Pages::Unpack.new(find(unpacks)), layout: :plain
        end
        app.allow(:account, get: "/studios/archive/:id/progress") { progress_of(find(unpacks)) }
        app.allow :account, post: "/studios/archive/:id/take" do
          transfer = find(unpacks)
          taken = unpacks.where(id: transfer.id, state: "looked").update_all(state: "asked")
          Jobs::MoveStudio.ask(transfer.id, whose: account, same: transfer.id) if taken.positive?
          redirect "/studios/archive/#{transfer.id}"
        end
      end
    end
  end
end
