# frozen_string_literal: true

module App
  module Web
    module Helpers
      # Answers with a file to keep.
      module Sending
        # made: something with a name and tables; words: what else the file's name says.
        def send_table(made, kind, *words)
          type = Shared::TableFile::TYPES[kind] || halt(404)
          beside
          content_type type
          attachment Shared::TableFile.name([made.name, *words], kind)
          Shared::TableFile.write(kind, made.tables)
        end

        # What shows a PDF within a browser counts as an object with styles of its own; nothing else is let in.
        SHOWN = "default-src 'none'; object-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'"

        # sheet: Formats::Print::Sheet, on the paper that is asked for; words: what the file's name says.
        def send_paper(sheet, *words)
          beside
          content_type "application/pdf"
          headers "content-security-policy" => SHOWN
          attachment Shared::TableFile.name(words, "pdf"), :inline
          Shared::Paper.render(sheet, params["paper"] || (studio || bearer.studio).setting("paper"))
        end

        # svg: a drawing as a page has it; as a picture by itself, SVG or PNG.
        def send_picture(svg, ending, *words)
          halt 404 unless %w[svg png].include?(ending)
          beside
          content_type ending == "svg" ? "image/svg+xml" : "image/png"
          attachment Shared::TableFile.name(words, ending)
          file = Shared::StandaloneSvg.of(svg)
          ending == "svg" ? file : Shared::StandaloneSvg.png(file)
        end
      end
    end
  end
end
