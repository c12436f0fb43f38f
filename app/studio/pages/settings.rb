# frozen_string_literal: true

module App
  module Studio
    module Pages
      # Settings of the studio, its team and its outbox.
      class Settings
        attr_reader :member, :errors

        # form: the settings as they were sent, where something is wrong with them.
        def initialize(member, errors = {}, form: nil)
          @member = member
          @errors = errors
          @form = form
        end

        def form = @form ||= SettingsForm.of(studio)
        def conflicts = SettingsForm.conflicts(form)

        def title = I18n.t("ways.settings")
        def screen = :settings
        def studio = member.studio
        def director? = member.director?
        def zones = Shared::Clock.zones
        def team = studio.memberships.includes(:account, :person).order(:id)
        def invited = studio.invitations.open(Shared::Clock.now).order(:id)
        def until_day(invitation) = Shared::Dates.day(invitation.expires_at.to_date)
        def choreographers = studio.people.choreographers

        def learned_ways = Core::Learning::Way::NAMES
        def figures = Figures::RANGES.keys.map { |name| [name, SettingsForm.label(name), form.value(name)] }
      end
    end
  end
end
