# frozen_string_literal: true

module App
  module Steps
    # A count sheet kept elsewhere: looked at first, then saved as a section's eights.
    module PasteRoutes
      SHEET = { text: :text, way: :text }.freeze

      # The section a sheet is pasted into, for whoever may edit it.
      module Into
        def pasted_into
          section = find(piece.sections)
          permit Policy, section, :edit?
          section
        end

        def paste_page(section, **more) = piece_page(Pages::Paste, section:, **more)
      end

      def self.registered(app)
        app.helpers Into
        team = %i[director choreographer]
        app.allow(*team, get: "/pieces/:piece/sections/:id/paste") { page "steps/paste", paste_page(pasted_into) }
        app.allow(*team, post: "/pieces/:piece/sections/:id/paste/preview", takes: { **SHEET, file: :upload }) do
          section = pasted_into
          page "steps/paste", paste_page(section, pasted: PastedEights.new(params))
        rescue Formats::FaultyFile => e
          error = t("paste.not_read", why: e.faults.first.delete_prefix("the file: "))
          page "steps/paste", paste_page(section, error:), status: 422
        end
        app.allow(*team, post: "/pieces/:piece/sections/:id/paste", takes: { **SHEET, lock_version: :whole }) do
          section = pasted_into
          pasted = PastedEights.new(params)
          sent = { "rows" => pasted.rows(section), "lock_version" => params["lock_version"] }
          result = Actions::Save.new(section, sent, account, today).run
          unless result.ok?
            error = result.value == :conflict ? t("paste.conflict") : result.errors[:rows]
            next page("steps/paste", paste_page(section.reload, pasted:, error:), status: 422)
          end

          say result.value
          redirect "/pieces/#{piece.id}/steps?section=#{section.id}"
        end
      end
    end
  end
end
