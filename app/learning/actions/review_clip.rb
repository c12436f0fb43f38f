# frozen_string_literal: true

module App
  module Learning
    module Actions
      # A clip was reviewed: it counts for whoever sent it, or they are told: not yet. The clip is gone either way.
      class ReviewClip
        # upload: Records::Upload of kind "review"; answer: "yes" or "not_yet".
        def initialize(upload, member, answer, today)
          @upload = upload
          @piece = upload.piece
          @member = member
          @yes = answer == "yes"
          @today = today
        end

        def run
          item = ReviewPolicy.item(@upload)
          return Shared::Result.no({ error: I18n.t("sign_offs.gone") }) unless item

          Records::Base.transaction do
            Records::Mapping::Learnings.append(@piece, @upload.clip_people.map { |row| entry(row.person_id, item) })
            Shared::RemoveUpload.new(@upload).run
          end
          Shared::Result.ok(@upload)
        end

        private

        def entry(person, item)
          rung = Records::Mapping::Learnings.ladder(@piece).learned_from
          Shared::LogLine.of(@piece, @member.account, @today).merge(
            person_id: person, item_key: item.key, kind: @yes ? "clip_reviewed" : "corrected", rung: @yes ? rung : 0,
            client_id: "review-#{@upload.id}:#{person}"
          )
        end
      end
    end
  end
end
