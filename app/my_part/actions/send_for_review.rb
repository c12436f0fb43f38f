# frozen_string_literal: true

module App
  module MyPart
    module Actions
      # A dancer sends one clip of one section to be reviewed by whoever teaches it. It is seen by them and by a
      # guardian only, and gone once it was reviewed, or after fourteen days.
      class SendForReview
        def initialize(person, link, file)
          @person = person
          @link = link
          @file = file
          @studio = person.studio
        end

        # Value: the Records::Upload.
        def run
          return no("off") unless wanted?
          return no("no_yes") if Reading::ClipConsent.new(@studio).lacking([@person.id]).any?
          return no("none") unless @file.is_a?(Hash)

          looked = Shared::ClipFile.look(@file["tempfile"])
          return fault(looked) if looked.stop

          kept = Shared::ClipFile.stripped(@file["tempfile"].path, looked.codec) { |copy| keep(copy, looked) }
          kept || no("broken")
        end

        private

        def no(key) = Shared::Result.no({ error: I18n.t("reviews.faults.#{key}") })

        def fault(looked)
          Shared::Result.no({ error: I18n.t("clips.faults.#{looked.stop}", type: looked.type, codec: looked.codec) })
        end

        def wanted? = @studio.setting("clips") && Reading::ReviewItem.of(@link, @person)

        # One at a time: a new one takes the place of the one before.
        def keep(copy, looked)
          kept = Shared::ClipFile.upload(copy, :store, metadata: { "filename" => "review" })
          before = @studio.uploads.reviews.where(section_id: @link.section_id)
            .where(id: @studio.clip_people.where(person_id: @person.id).select(:upload_id)).to_a
          Records::Base.transaction do
            made = @link.piece.uploads.create!(
              studio_id: @studio.id, kind: "review", section_id: @link.section_id, file_data: kept.data,
              seconds: looked.seconds, by_name: @person.name, created_at: Shared::Clock.now
            )
            made.clip_people.create!(studio_id: @studio.id, person: @person, created_at: Shared::Clock.now)
            before.each { |upload| Shared::RemoveUpload.new(upload).run }
            Shared::Result.ok(made)
          end
        end
      end
    end
  end
end
