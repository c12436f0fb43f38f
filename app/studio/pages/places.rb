# frozen_string_literal: true

module App
  module Pages
    # The studios an account belongs to.
    class Studios
      def initialize(account) = @account = account
      def title = I18n.t("sign_in.studios")
      def places = @account.memberships.includes(:studio).order(:id)
    end
  end
end
