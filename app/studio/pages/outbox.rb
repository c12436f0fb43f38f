# frozen_string_literal: true

module App
  module Studio
    module Pages
      # What the studio mailed, newest first.
      class Outbox
        def initialize(studio) = @studio = studio
        def title = I18n.t("ways.outbox")
        def screen = :settings
        def mails = @studio.mails.order(id: :desc).limit(100)
      end
    end
  end
end
