# frozen_string_literal: true

module App
  module Reading
    # Clips of sections, to look at: only where the studio has clips, and every minor in one has a guardian's yes.
    class ReferenceClips
      def initialize(studio)
        @studio = studio
      end

      # [[section's name with the side, path], …]
      def of(sections)
        return [] unless @studio.setting("clips")

        names = sections.to_h { |section| [section.id.to_i, section.name] }
        clips = @studio.uploads.clips.where(kind: "reference", section_id: names.keys).includes(:clip_people)
        clips.select { |clip| seen?(clip) }.map { |clip| [words(clip, names), path(clip)] }
      end

      private

      def seen?(clip) = ClipConsent.new(@studio).lacking(clip.clip_people.map(&:person_id)).empty?
      def path(clip) = "/pieces/#{clip.piece_id}/clips/#{clip.id}"

      def words(clip, names)
        side = clip.side.to_s.empty? ? nil : I18n.t("clips.sides.#{clip.side}")
        [names.fetch(clip.section_id), side].compact.join(", ")
      end
    end
  end
end
