# frozen_string_literal: true

require "digest"

module App
  module Web
    module Helpers
      # What templates need to print: wording, dates, forms, partials.
      module Html
        VERSION =
          Dir[File.join(Settings::ROOT, "public", "{styles,scripts}", "*")]
            .reduce(Digest::MD5.new) { |d, f| d.update(File.read(f)) }
            .hexdigest[
            0,
            8
          ]

        def t(key, **values) = I18n.t(key, **values)
        def asset(path) = "/#{path}?v=#{VERSION}"
        def csrf = Rack::Protection::AuthenticityToken.token(session)

        # Also the form's key (Gate#once): another one in every form that is printed. Not filled in again by a browser.
        def csrf_field = %(<input type="hidden" name="authenticity_token" value="#{csrf}" autocomplete="off">)

        # Where a form sends a large file to.
        def upload_to(path) = UploadTicket.on(path, Shared::Clock.now)

        # What a form that several people may open remembers of how it was opened (Shared::OpenForm).
        def was_field(form)
          %(<input type="hidden" name="was" value="#{Rack::Utils.escape_html(form.was)}" autocomplete="off">)
        end

        # A whole page in the layout. view: template; page: its page object.
        def page(view, page, layout: :layout, status: 200, **locals)
          self.status status
          erb view.to_sym, layout:, locals: { page:, frame: frame(page), **locals }
        end

        def frame(page)
          path = request.path_info unless request.post?
          Layout.new(member:, account:, page:, path:, flash: take_flash, now: Shared::Clock.now)
        end

        # What a block prints; where it fails, a sentence in its place, so that one sick piece takes no page with it.
        def contained(title, path)
          yield
        rescue StandardError => e
          SemanticLogger["Web"].error("contained: #{title}", e)
          part "shared/sick", title:, path:
        end

        # A partial: "steps/eight" is app/steps/views/_eight.erb.
        # When the music begins so that the count-in is heard; before its start nothing can.
        def music_in(seconds)
          seconds.negative? ? t("music.before") : t("music.in_at", at: Formats::Times.tenth(seconds))
        end

        # A join's question in words. question: Core::Joins::Question.
        def asked(question) = Shared::QuestionWording.new(question)

        def part(name, **locals)
          room, file = name.split("/")
          erb(:"#{room}/_#{file}", layout: false, locals:)
        end

        # Marks what is shown now among several ways.
        def current(shown) = shown ? ' aria-current="true"' : ""

        def some(words, most) = Shared::Lists.of(words, most)
        def day(date, year: false) = Shared::Dates.day(date, year:)
        def short_day(date) = Shared::Dates.short(date)
        def tape_css(tape) = Shared::Tape.css(tape)
        def example(screen) = Shared::Example.svg(screen)
        def seam_mark(state, size: 24) = Shared::SeamMark.svg(state, size:)
        def plain(number) = Shared::Drawing.plain(number)
        # "1 dancer", "3 dancers": what is counted is a name under how_many in the locale file.
        def how_many(what, count) = t("how_many.#{what}", count:)
        def amount(number) = Shared::Amount.of(number)
        def tenth(seconds) = Formats::Times.tenth(seconds)
        def clock(minutes) = Formats::Times.clock(minutes)
        def length(seconds) = Formats::Times.length(seconds)
        # How a room is reached, in words: "free", "steps", or "" where nobody said.
        def way_in(way) = t("rehearsals.way_in.#{way.empty? ? 'unsaid' : way}")

        # The database is away for a moment. What was sent stands on the page, to be sent again as it is; passwords and
        # files are typed and chosen anew.
        def back_in_a_moment
          SemanticLogger["Web"].warn("database away: #{env['sinatra.error'].class}")
          headers "retry-after" => "5"
          status 503
          return { error: t("errors.503.title"), base: t("errors.503.title") }.to_json if wants_json?

          erb :back_in_a_moment,
              layout: :plain,
              locals: { frame: nil, fields: kept_fields, action: request.fullpath }
        end

        def answer_page(code)
          status code
          return { error: t("errors.#{code}.title") }.to_json if wants_json?

          erb :error, layout: :plain, locals: { frame: nil, code:, request_id: env["join_chain.request_id"] }
        end
      end
    end
  end
end
