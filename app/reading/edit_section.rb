# frozen_string_literal: true

module App
  module Reading
    # One section's form, saved: alone on the piece, its joins watched, and refused where somebody else saved the
    # section since the form was opened.
    module EditSection
      # field: where the form says that; items: see WatchAgreements. The block is given the watch and answers a Result.
      def self.run(section, sent_version, account, today, field: :base, items: [])
        WatchAgreements.around(section.piece, account, today, items:) do |watch|
          section.lock!
          if sent_version.to_i == section.lock_version
            yield watch
          else
            Shared::Result.no({ field => I18n.t("sections.conflict") }, :conflict)
          end
        end
      end
    end
  end
end
