# frozen_string_literal: true

module App
  module Programs
    module Actions
      # A token for another program; shown once.
      class GiveToken
        def initialize(studio, account, name)
          @studio = studio
          @account = account
          @name = name
        end

        # Value: the token.
        def run
          fields = { name: @name.to_s, by_name: @account.name }
          return Shared::Result.no({ name: I18n.t("programs.name") }) if @studio.program_tokens.new(**fields).invalid?

          Shared::Result.ok(@studio.program_tokens.issue(**fields).last)
        end
      end
    end
  end
end
