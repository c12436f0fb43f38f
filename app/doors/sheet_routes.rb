# frozen_string_literal: true

module App
  module Doors
    # The page behind the code on a dancer's own sheet.
    module SheetRoutes
      def self.registered(app)
        app.allow :anyone, get: "/sheet/:code", secret: :code do
          Records::Person.by_sheet(params["code"]) || halt(404)
          page "doors/sheet_door", Pages::SheetDoor.new(params["code"]), layout: :plain
        end
        app.allow :anyone, post: "/sheet/:code", secret: :code, takes: { word: :text } do
          person = Records::Person.by_sheet(params["code"]) || halt(404)
          result = Actions::OpenSheet.new(person, params["word"], keep_out_crowd).run
          unless result.ok?
            shown = Pages::SheetDoor.new(params["code"], error: result.errors[:word])
            next page("doors/sheet_door", shown, layout: :plain, status: result.value == :wait ? 429 : 422)
          end

          remember_device(Actions::OpenSheet.door(person))
          redirect "/my/#{result.value}"
        end
      end
    end
  end
end
