# frozen_string_literal: true

module App
  module Runs
    # Who may see clips, and of whom there may be any. Clips are off until a studio turns them on; one is seen only as
    # long as every minor in it has a guardian's yes.
    class ClipPolicy
      def initialize(studio)
        @studio = studio
      end

      def on? = @studio.setting("clips")
      def dancers? = on? && @studio.setting("clips_for_dancers")

      # Whether a clip may be shown.
      def seen?(upload) = on? && lacking(upload.clip_people.map(&:person_id)).empty?

      # [Records::Person] of these (ids) who are minors without a guardian's yes.
      def lacking(ids) = Reading::ClipConsent.new(@studio).lacking(ids)
    end
  end
end
