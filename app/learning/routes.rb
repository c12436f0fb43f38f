# frozen_string_literal: true

module App
  module Learning
    # Who has it: the grid, ticking, and the log behind a cell.
    module Routes
      # Where the log of one cell stands.
      module About
        def cell_path(person, item) = "/pieces/#{piece.id}/cell?#{Rack::Utils.build_query(person:, item:)}"
      end

      def self.registered(app)
        app.helpers About
        app.allow :member, get: "/pieces/:piece/who-has-it", takes: { group: :text, page: :text } do
          page "learning/grid", piece_page(Pages::Grid, group: params["group"], number: params["page"])
        end
        app.allow :member, get: "/pieces/:piece/cell", takes: { person: :text, item: :text, bare: :text } do
          cell = Pages::CellLog.new(piece, number(params["person"]), params["item"], today:)
          halt 404 unless cell.found?
          if params["bare"]
            erb(:"learning/_cell_log", layout: false, locals: { cell: })
          else
            page("learning/cell", piece_page(Pages::Cell, cell:))
          end
        end
        ticking(app)
      end

      def self.ticking(app)
        app.allow :member, post: "/pieces/:piece/ticks", takes: Shapes::TICKS do
          permit Piece::Policy, piece, :tick?
          params["cells"] ||= ["#{params['person']}:#{params['item']}"]
          result = Actions::RecordTicks.new(piece, account, params, today).run
          next json(result.ok? ? { cells: result.value } : result.errors, result.ok? ? 200 : 422) if wants_json?

          say(result.ok? ? t("learning.ticked") : result.errors.values.first)
          redirect cell_path(number(params["person"]), params["item"])
        end
        app.allow :member, post: "/pieces/:piece/ticks/:id/undo" do
          permit Piece::Policy, piece, :tick?
          cells = Actions::TakeBack.new(find(piece.ledger_entries), account, today).run
          next json({ cells: }) if wants_json?

          redirect cell_path(cells.first[:person], cells.first[:item])
        end
      end
    end
  end
end
