# frozen_string_literal: true

module App
  module Programs
    module Pages
      # The tokens with which other programs read the studio.
      class Index
        attr_reader :shown, :errors

        # shown: the token that was just made.
        def initialize(member, shown: nil, errors: {})
          @studio = member.studio
          @shown = shown
          @errors = errors
        end

        def title = I18n.t("programs.title")
        def screen = :settings

        # [[Records::ProgramToken, when it was used last], …]
        def tokens
          @studio.program_tokens.live.order(:id).map do |each|
            used = each.last_used_on
            [each, used ? I18n.t("programs.used", day: Shared::Dates.day(used, year: true)) : I18n.t("programs.unused")]
          end
        end

        def addresses
          [*Answers::OF_STUDIO.keys.map { |name| "/api/1/#{name}" }, "/api/1/pieces/ID",
           *Answers::OF_PIECE.keys.map { |name| "/api/1/pieces/ID/#{name}" }]
        end
      end
    end
  end
end
