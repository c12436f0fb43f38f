# frozen_string_literal: true

module App
  module People
    module Pages
      # Slips to be cut apart: each dancer's private link, and their guardian's, as an address and for a camera.
      class LinksPaper
        Print = Formats::Print
        private_constant :Print

        # given: [Reading::LinksAtOnce::Given]; now: the studio's local time.
        def initialize(studio, given, now)
          @studio = studio
          @given = given
          @now = now
        end

        # Formats::Print::Sheet
        def paper
          Print::Sheet.new(
            title: I18n.t("papers.links.title"), lines: [@studio.name, I18n.t("papers.links.care")],
            blocks: @given.flat_map { |link| slip(link) }, foot: Shared::Paper.foot(@studio, @now)
          )
        end

        private

        def slip(link)
          modules = RQRCodeCore::QRCode.new(link.url, level: :m).modules
          [
            Print::Heading.new(I18n.t("papers.links.#{link.kind}", name: link.person.name)),
            Print::Code.new(modules:, label: link.url)
          ]
        end
      end
    end
  end
end
