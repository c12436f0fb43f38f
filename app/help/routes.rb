# frozen_string_literal: true

module App
  module Help
    # The guide for those who use it, with its pictures.
    module Routes
      def self.registered(app)
        app.allow(:member, get: "/help") { page "help/guide", Pages::Guide.new(member) }
        app.allow :member, get: "/help/screenshots/:picture" do
          path = Pages::Guide::PICTURES.find { |each| File.basename(each) == params["picture"] } || halt(404)
          beside
          headers "cache-control" => "private, max-age=86400"
          send_file path, type: "image/png", disposition: :inline
        end
      end
    end
  end
end
