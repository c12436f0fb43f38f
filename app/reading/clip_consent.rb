# frozen_string_literal: true

module App
  module Reading
    # Whose guardian has not said yes to clips.
    class ClipConsent
      def initialize(studio)
        @studio = studio
      end

      # [Records::Person] of these (ids) who are minors without a guardian's yes.
      def lacking(ids)
        said = @studio.consents.standing.where(person_id: ids).select(:person_id)
        @studio.people.where(id: ids, adult: false).where.not(id: said).order(:name).to_a
      end
    end
  end
end
