# frozen_string_literal: true

module App
  module Studio
    module Pages
      # The studios an account belongs to.
      class Places
        def initialize(account) = @account = account
        def title = I18n.t("sign_in.studios")
        def places = @account.memberships.includes(:studio).order(:id)
      end
    end
  end
end
