# frozen_string_literal: true

module App
  module Files
    module Actions
      # Makes a new piece of a piece's file: all of it or nothing. People the studio has are found by their names; the
      # others are added. Nothing of another piece is touched.
      class TakePiece
        # content: Formats::PieceFile::Content.
        def initialize(member, content)
          @studio = member.studio
          @account = member.account
          @content = content
        end

        # Value: the piece. Errors: {file: sentence}.
        def run
          @studio.alone(:people) do
            @piece = begin_piece
            people
            cast
            Sections.new(@piece, @content, @people, @groups).write
            PieceMore.new(@piece.reload, @content, @people, @groups).write
            look_at_it
          end
          Shared::Result.ok(@piece)
        rescue ActiveRecord::RecordInvalid => e
          Shared::Result.no({ file: I18n.t("files.faults.row", what: told(e.record)) })
        rescue Core::ValueError, ActiveRecord::ActiveRecordError => e
          Shared::Result.no({ file: I18n.t("files.faults.row", what: e.message.lines.first.to_s.strip[0, 200]) })
        end

        private

        # "Section “Smoke”: name is too long"
        def told(record)
          name = record.try(:name) || record.try(:title)
          "#{record.class.name.demodulize}#{" “#{name.to_s[0, 40]}”" if name}: #{record.errors.full_messages.first}"
        end

        def begin_piece
          piece = @studio.pieces.create!(
            title: @content.work.title.presence || I18n.t("files.untitled"), show_date: @content.show_date,
            settings: @content.settings
          )
          track = @content.work.track
          Records::Track.create!(
            studio: @studio, piece:, tempo: track.tempo, first_count_seconds: track.first_count_seconds,
            length_seconds: track.length_seconds, form: track.form
          )
          piece
        end

        # {the file's id => Records::Person}; a teacher who is nobody of the file's people stands by name.
        def people
          known = @studio.people.present.index_by { |person| person.name.downcase }
          named = @content.people.to_h { |each| [each.id, each] }
          others = @content.work.sections.flat_map(&:teachers).uniq - named.keys
          others.each do |name|
            named[name] = Formats::PieceFile::Person.new(id: name, name:, teaches: true, adult: true)
          end
          @people = named.transform_values { |each| known[each.name.downcase] ||= add(each) }
          teachers.each { |id| make_teacher(@people.fetch(id)) }
        end

        def teachers = @content.work.sections.flat_map(&:teachers).uniq

        def add(each)
          @studio.people.create!(
            name: each.name, dances: each.dances || false, teaches: each.teaches || false, adult: each.adult || false,
            initials: each.initials, tape: (free_tape(each.tape) if each.teaches)
          )
        end

        # The tape they had, where nobody here has it.
        def free_tape(wanted)
          taken = wanted.nil? || @studio.people.choreographers.exists?(tape: wanted)
          taken ? Shared::NextTape.next_free(@studio) : wanted
        end

        def make_teacher(person)
          return if person.teaches

          person.update!(teaches: true, tape: person.tape || Shared::NextTape.next_free(@studio))
        end

        def cast
          @groups = @content.work.groups.each_with_index.to_h do |(id, name), i|
            leader = @people[@content.leaders[id]]
            [id, @piece.groups.create!(studio: @studio, name:, number: i + 1, leader:)]
          end
          @content.cast.each { |id, groups| cast_one(@people.fetch(id), groups) }
        end

        def cast_one(person, groups)
          person.update!(dances: true) unless person.dances
          Records::Casting.find_or_create_by!(studio: @studio, piece: @piece, person:)
          groups.each do |id|
            Records::GroupMember.find_or_create_by!(studio: @studio, group: @groups.fetch(id), person:)
          end
        end

        # The piece is read once the way every screen reads it; what cannot be read is not taken in.
        def look_at_it
          @piece.touch
          Shared::KeepRevision.new(@piece.reload, @account).record(I18n.t("files.taken_in"))
          snapshot = Reading::PieceSnapshots::Snapshot.new(@piece)
          snapshot.standings.each(&:state)
          snapshot.line_findings
        end
      end
    end
  end
end
