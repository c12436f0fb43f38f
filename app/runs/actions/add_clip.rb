# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Adds a clip of a run, or one of a section for reference. Nothing is kept before it is known what the file is and
      # that every minor who is in it has a guardian's yes.
      class AddClip
        OF = /\A(run|section):(\d{1,18})\z/

        # params: {"file", "of" => "run:12" or "section:3", "side", "people" => [ids]}.
        def initialize(piece, account, params)
          @piece = piece
          @studio = piece.studio
          @account = account
          @params = params
        end

        # Value: the Records::Upload.
        def run
          wrong = wrong_place || wrong_people
          return wrong if wrong
          return no("file", :none) unless file.is_a?(Hash)

          looked = Shared::ClipFile.look(file["tempfile"])
          return no("file", looked.stop, type: looked.type, codec: looked.codec) if looked.stop

          kept = Shared::ClipFile.stripped(file["tempfile"].path, looked.codec) { |copy| keep(copy, looked) }
          kept || no("file", :broken)
        end

        private

        def no(field, key, **words) = Shared::Result.no({ field.to_sym => I18n.t("clips.faults.#{key}", **words) })
        def file = @params["file"]

        # [:run or :section, the row].
        def of
          @of ||= begin
            kind, id = OF.match(@params["of"].to_s)&.captures
            rows = { "run" => @piece.runs.standing, "section" => @piece.sections }[kind]
            [kind, rows&.find_by(id:)]
          end
        end

        def wrong_place
          return no("of", :turned_off) unless policy.on?
          return no("of", :of) unless of.last

          no("of", :side) if of.first == "section" && !Records::Upload::SIDES.include?(@params["side"])
        end

        def wrong_people
          return no("people", :nobody) if people.empty?

          lacking = policy.lacking(people)
          no("people", :lacking, names: Shared::Lists.all(lacking.map(&:name))) if lacking.any?
        end

        def policy = @policy ||= ClipPolicy.new(@studio)
        def people = @people ||= @piece.castings.where(person_id: @params["people"].to_a).pluck(:person_id)
        def name = Shared::FileName.of(file["filename"]) || "clip"

        def keep(copy, looked)
          kept = Shared::ClipFile.upload(copy, :store, metadata: { "filename" => name })
          kind, row = of
          reference = { kind: "reference", section: row, side: @params["side"] }
          about = kind == "run" ? { kind: "clip", run: row } : reference
          Records::Base.transaction do
            made = @piece.uploads.create!(
              studio_id: @studio.id, file_data: kept.data, seconds: looked.seconds, by_name: @account.name,
              created_at: Shared::Clock.now, **about
            )
            rows = people.map do |id|
              { studio_id: @studio.id, upload_id: made.id, person_id: id, created_at: Shared::Clock.now }
            end
            Records::ClipPerson.insert_all!(rows)
            Shared::Result.ok(made)
          end
        end
      end
    end
  end
end
