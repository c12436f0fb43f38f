# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Notes how far one group has a section.
      class HaveUpTo
        # sent: {"group", "eights"}.
        def initialize(section, sent, account, today)
          @section = section
          @sent = sent
          @account = account
          @today = today
        end

        # Value: the section.
        def run
          group = @section.piece.groups.find_by(id: @sent["group"].to_s[/\A\d{1,18}\z/])
          return no("which_group") if group.nil?

          eights = Integer(@sent["eights"].to_s, exception: false)
          return no("how_far") unless eights&.between?(0, @section.eights.size)

          keep(group, eights)
          Shared::Result.ok(@section)
        end

        private

        def no(key)
          Shared::Result.no({ eights: I18n.t("sections.#{key}", name: @section.name, count: @section.eights.size) })
        end

        def keep(group, eights)
          @section.teachings.create!(
            studio_id: @section.studio_id,
            group:,
            eights:,
            day: @today,
            by_name: @account.name,
            created_at: Shared::Clock.now
          )
        end
      end
    end
  end
end
