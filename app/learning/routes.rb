# frozen_string_literal: true

module App
  module Learning
    # Who has it: the grid, ticking, and the log behind a cell.
    module Routes
      # Where the log of one cell stands.
      module About
        def cell_path(person, item, strand = nil)
          query = { person:, item:, strand: }.reject { |_, value| value.blank? || value == "own" }
          "/pieces/#{piece.id}/cell?#{Rack::Utils.build_query(query)}"
        end
      end

      def self.registered(app)
        app.helpers About
        app.allow :member, get: "/pieces/:piece/who-has-it", takes: Shapes::GRID do
          asked = { group: params["group"], number: params["page"], sort: params["sort"], strand: params["strand"] }
          page "learning/grid", piece_page(Pages::Grid, **asked)
        end
        app.allow :member, get: "/pieces/:piece/who-has-it.pdf", takes: { **Shapes::GRID, paper: :text } do
          asked = { group: params["group"], sort: params["sort"], strand: params["strand"] }
          send_paper(piece_page(Pages::GridPaper, **asked).paper, "who-has-it", piece.title)
        end
        app.allow :member, get: "/pieces/:piece/cell", takes: Shapes::CELL do
          strand = StrandForm.read(params["strand"]) || halt(404)
          cell = Pages::CellLog.new(piece, number(params["person"]), params["item"], today:, strand:)
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
          result = Actions::RecordTicks.new(piece, member, params, today).run
          next json(result.ok? ? { cells: result.value } : result.errors, result.ok? ? 200 : 422) if wants_json?

          say(result.ok? ? t("learning.ticked") : result.errors.values.first)
          redirect cell_path(number(params["person"]), params["item"], params["strand"])
        end
        app.allow :member, post: "/pieces/:piece/ticks/:id/undo" do
          permit Piece::Policy, piece, :tick?
          entry = find(piece.ledger_entries)
          cells = Actions::TakeBack.new(entry, account, today).run
          next json({ cells: }) if wants_json?

          strand = StrandForm.write(Records::Mapping::Learnings.strand_of(entry))
          redirect cell_path(cells.first[:person], cells.first[:item], strand)
        end
      end
    end
  end
end
