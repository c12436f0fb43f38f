# frozen_string_literal: true

require "open3"

module App
  module Shared
    # A drawing of a screen as a picture of its own: with the rules for its classes inside, so that it looks the same
    # wherever it is opened; as SVG, or as PNG by librsvg's rsvg-convert.
    module StandaloneSvg
      STYLES = File.join(Settings::ROOT, "app", "assets", "styles")
      ROOTS = %w[.spine-chain .bar-have .build .seam .floor-picture .lanes].freeze
      FONTS = "Lato, 'DejaVu Sans', sans-serif"
      RULE = /([^{}]+)\{([^{}]+)\}/
      # Pixels across, of a PNG.
      WIDTH = 2000

      module_function

      # svg: as a page draws it => text of a file.
      def of(svg)
        plain = svg.gsub(/ (?:data-[\w-]+|tabindex|aria-[\w-]+|role)="[^"]*"/, "")
        %(<?xml version="1.0" encoding="UTF-8"?>\n#{plain.sub('>', "><style>#{rules_for(plain)}</style>")})
      end

      # Text of a file => bytes of PNG on white, with the fonts that ship with the application.
      def png(svg)
        fonts = { "FONTCONFIG_FILE" => File.join(Settings::ROOT, "config", "fonts.conf") }
        options = ["--format=png", "--width=#{WIDTH}", "--keep-aspect-ratio", "--background-color=white"]
        made, status = Open3.capture2(fonts, "rsvg-convert", *options, stdin_data: svg, binmode: true)
        raise IOError, "rsvg-convert failed" unless status.success?

        made
      end

      # What the application's own style says of drawings, with its colours written out.
      def rules
        @rules ||= File.read(File.join(STYLES, "drawings.css")).sub(/\A@layer \w+ \{/, "").scan(RULE)
          .flat_map { |selectors, body| rule(selectors, body) }
      end

      # Those that a drawing has all classes of.
      def rules_for(svg)
        classes = svg.scan(/class="([^"]*)"/).flatten.flat_map(&:split).uniq
        used = rules.select { |selector, _| (selector.scan(/\.([\w-]+)/).flatten - classes).empty? }
        used.map { |selector, body| "#{selector} { #{body} }" }.join(" ")
      end

      def rule(selectors, body)
        kept = selectors.split(",").map(&:strip).select { |each| ROOTS.any? { |root| each.start_with?(root) } }
        kept.grep_v(/[:\[]/).map { |each| [each, written_out(body)] }
      end

      def written_out(body)
        body.gsub(/var\(--font-\w+\)/, FONTS).gsub(/var\(--color-([\w-]+)\)/) { colours.fetch(Regexp.last_match(1)) }
          .gsub("transparent", "none").gsub(/\s+/, " ").strip
      end

      def colours = @colours ||= File.read(File.join(STYLES, "app.css")).scan(/--color-([\w-]+):\s*(#\h+)/).to_h
    end
  end
end
