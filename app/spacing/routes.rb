# frozen_string_literal: true

module App
  module Spacing
    # Who moves when, where everybody stands, and the hole sheet.
    module Routes
      # The page of a link's floor, for the form that is sent about it.
      module About
        def floor_page(**more)
          at = piece.links.index { |link| link.id == number(params["id"]) }
          halt 404 unless at
          Pages::Show
            .new(piece:, member:, now: local_now, at: (at + 1).to_s, moment: params["moment"], **more)
            .tap { |shown| permit Steps::Policy, shown.row, :edit? }
        end

        def save_floor(shown, formation)
          Actions::SaveFormation
            .new(piece, shown.link.link, shown.moment)
            .run(formation, version: params["version"].to_i)
        end

        # Where somebody else placed people meanwhile, nothing is written over theirs, and the page says so.
        def back_to_floor(shown, result = nil, done = nil)
          text = result && !result.ok? ? result.errors[:base] : done
          say text if text
          redirect "/pieces/#{piece.id}/spacing?at=#{shown.index}&moment=#{shown.moment_key}"
        end
      end

      def self.registered(app)
        app.helpers About
        app.allow :member, get: "/pieces/:piece/spacing", takes: Shapes::SHOWN do
          page "spacing/show",
               piece_page(
                 Pages::Show,
                 show: params["show"],
                 moment: params["moment"],
                 who: params["who"],
                 seen: params["seen"]
               )
        end
        app.allow :member, get: "/pieces/:piece/holes", takes: { out: :texts } do
          page "spacing/holes", piece_page(Pages::Holes, out: params["out"])
        end
        pictures(app)
        parts(app)
        formations(app)
        patterns(app)
      end

      # The hole sheet on paper; the lines and the floor as pictures.
      def self.pictures(app)
        app.allow :member, get: "/pieces/:piece/holes.pdf", takes: { out: :texts, paper: :text } do
          send_paper(piece_page(Pages::HolesPaper, out: params["out"]).paper, piece.title, "who-is-out")
        end
        app.allow :member, get: "/pieces/:piece/spacing/lines.:ending" do
          shown = piece_page(Pages::Show, show: "lines")
          halt 404 unless shown.link
          send_picture(shown.picture.svg, params["ending"], piece.title, shown.link.name, "lines")
        end
        app.allow :member, get: "/pieces/:piece/spacing/floor.:ending", takes: Shapes::SHOWN do
          shown = piece_page(Pages::Show, moment: params["moment"], seen: params["seen"])
          halt 404 unless shown.link
          send_picture(shown.floor.svg, params["ending"], piece.title, shown.link.name, shown.moment_key)
        end
      end

      def self.parts(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/sections/:id/parts", takes: Shapes::PARTS do
          section = find(piece.sections)
          permit Steps::Policy, section, :edit?
          way = Actions::SpreadParts::WAYS.find { |each| each == params["way"] }
          result =
            if way
              Actions::SpreadParts.new(section, way, number(params["step"]).clamp(1, 64), account, today,
                                       first: number(params["first"])).run
            else
              Actions::SaveParts.new(section, params, account, today).run
            end
          shown = { show: "lines", at: params["at"] }
          unless result.ok?
            next page(
              "spacing/show",
              piece_page(Pages::Show, show: "lines", errors: result.errors, typed: params),
              status: result.value == :conflict ? 409 : 422
            )
          end

          say t("lines.saved", name: section.name)
          redirect "/pieces/#{piece.id}/spacing?#{Rack::Utils.build_query(shown)}"
        end
      end

      def self.formations(app)
        app.allow :director, :choreographer, post: "/pieces/:piece/links/:id/formation", takes: Shapes::SPOTS do
          shown = floor_page
          result = save_floor(shown, SentSpots.new(piece, params["spots"]).formation)
          next json(result.errors, 409) unless result.ok?

          fresh =
            Pages::Show.new(
              piece: studio.pieces.find(piece.id),
              member:,
              now: local_now,
              at: shown.at,
              moment: params["moment"]
            )
          json({ version: result.value.lock_version, html: part("spacing/floor_facts", page: fresh) })
        end
        app.allow :director, :choreographer,
                  post: "/pieces/:piece/links/:id/formation/remove", takes: Shapes::MOMENT do
          shown = floor_page
          result =
            Actions::SaveFormation.new(piece, shown.link.link, shown.moment).remove(version: params["version"].to_i)
          back_to_floor(shown, result)
        end
      end

      def self.patterns(app)
        app.allow :director, :choreographer,
                  post: "/pieces/:piece/links/:id/formation/pattern", takes: Shapes::PATTERN do
          shown = floor_page
          back_to_floor(shown, save_floor(shown, Actions::MakeFormation.new(shown, params).formation))
        end
        app.allow :director, :choreographer,
                  post: "/pieces/:piece/links/:id/formation/assign", takes: Shapes::MOMENT do
          shown = floor_page
          if shown.before.empty?
            say t("floor.from_nowhere")
            back_to_floor(shown)
          else
            spots = Actions::AssignSpots.new(shown.before, shown.formation).formation
            back_to_floor(shown, save_floor(shown, spots), t("floor.assigned"))
          end
        end
        app.allow :director, post: "/pieces/:piece/floor", takes: { width: :text, depth: :text, was: :text } do
          permit Piece::Policy, piece, :direct?
          result = Actions::SizeFloor.new(piece, params).run
          say(result.ok? ? t("floor.sized") : [result.errors[:base], FloorForm.both(result.value)].join(" ").strip)
          redirect "/pieces/#{piece.id}/spacing?at=#{number(params['at']).clamp(1, 999)}"
        end
      end
    end
  end
end
