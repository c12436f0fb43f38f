# frozen_string_literal: true

require "kramdown"

module App
  module Help
    module Pages
      # docs/guide.md as a page: its addresses are those of the studio's own pages.
      class Guide
        FOLDER = File.expand_path("../../../docs", __dir__)
        PICTURES = Dir[File.join(FOLDER, "screenshots", "*.png")].freeze
        TEXT = File.read(File.join(FOLDER, "guide.md"), encoding: "UTF-8").freeze

        def initialize(member) = @member = member

        def title = I18n.t("help.title")
        def screen = :help

        # HTML of the guide; without a piece yet, what is of a piece leads to the first one's form.
        def html
          piece = @member.studio.pieces.running.order(:id).first
          own = TEXT.gsub("](screenshots/", "](/help/screenshots/")
            .gsub(%r{/pieces/:piece(/[\w-]+)*}) { |path| piece ? path.sub(":piece", piece.id.to_s) : "/pieces/new" }
          Kramdown::Document.new(own, auto_ids: false).to_html
        end
      end
    end
  end
end
