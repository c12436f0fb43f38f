# frozen_string_literal: true

module App
  module Studio
    module Pages
      # Settings of the studio, its team and its outbox.
      class Settings
        FIGURES = %w[
          warm_up
          cool_down
          re_warm
          recap
          to_music
          max_continuous
          rest
          daily_minutes
          new_eights
          latest_finish
        ].freeze
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
        def invited = studio.invitations.where(accepted_at: nil).order(:id)
        def choreographers = studio.people.choreographers

        def figures
          FIGURES.map do |name|
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
