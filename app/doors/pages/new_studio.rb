# frozen_string_literal: true

module App
  module Doors
    module Pages
      # The form that begins a studio.
      class NewStudio
        FIELDS = %w[studio name email time_zone kind].freeze
        attr_reader :errors

        def initialize(typed = {}, errors = {})
          @typed = typed
          @errors = errors
        end

        def title = I18n.t("sign_in.begin")
        def value(name) = @typed[name].to_s
        def zone = value("time_zone").empty? ? "Europe/London" : value("time_zone")
        def kinds = Core::Planning::GroupKinds::FIGURES.keys.map { |kind| [kind, I18n.t("kinds_of_group.#{kind}")] }
        def zones = Shared::Clock.zones
      end
    end
  end
end
