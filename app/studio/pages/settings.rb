# frozen_string_literal: true

module App
  module Studio
    module Pages
      # Settings of the studio, its team and its outbox.
      class Settings
        attr_reader :member, :errors

        def initialize(member, errors = {})
          @member = member
          @errors = errors
        end

        def title = I18n.t("ways.settings")
        def screen = :settings
        def studio = member.studio
        def director? = member.director?
        def zones = Shared::Clock.zones
        def team = studio.memberships.includes(:account, :person).order(:id)
        def invited = studio.invitations.open(Shared::Clock.now).order(:id)
        def until_day(invitation) = Shared::Dates.day(invitation.expires_at.to_date)
        def choreographers = studio.people.choreographers

        def figures
          Figures::RANGES.keys.map do |name|
            [
              name,
              I18n.t("settings.figures.#{name}"),
              name == "latest_finish" ? Formats::Times.clock(studio.setting(name)) : studio.setting(name)
            ]
          end
        end
      end
    end
  end
end
