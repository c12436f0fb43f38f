# frozen_string_literal: true

module App
  module Demo
    # Three runs behind the piece with what went wrong in them, the notes that came of it, and two clips in which nobody
    # can be seen but spots on a floor.
    class Runs
      # kind, first and last link, speed, where it was stopped and taken up again: [[step, link, eight, count], …].
      RUNS = [
        ["stumble", 1, 4, 80, [["stop", 3, 4, 2], ["go", 3, 3, 1], ["end", 4, 5, 8]]],
        ["stumble", 1, 6, 90, [["end", 6, 5, 8]]],
        ["slow", 1, 6, 60, [["end", 6, 5, 8]]]
      ].freeze
      # By run: [link, eight, count, kind, whose], a group or people.
      TROUBLES = [
        [[2, 5, 3, "spacing", "Builders"], [3, 3, 8, "timing", "everyone"], [3, 4, 1, "forgot", %w[Kit Maro]],
         [4, 1, 1, "late", "Nurses"]],
        [[2, 5, 3, "collision", %w[Bram Oto]], [3, 3, 8, "timing", nil], [4, 1, 2, "late", "Nurses"],
         [5, 4, 5, "forgot", %w[Zola]], [6, 1, 1, "late", "Foragers"], [6, 2, 3, nil, nil]],
        [[3, 3, 8, "timing", "Scouts"], [4, 1, 1, "late", "Nurses"], [6, 1, 1, "late", "Foragers"],
         [6, 4, 5, "energy", "everyone"]]
      ].freeze
      # By run: [kind, for whom, link, eight, count, text, how often given].
      NOTES = [
        [["fix", nil, 3, 3, 8, "the ball-change is late: hear the 8 before you move", 3],
         ["praise", nil, 1, nil, nil, "the breath at the start is together", 1]],
        [["fix", "Nurses", 4, 1, 1, "come in on the 1, not after it", 2],
         ["fix", "Zola Mead", 5, 4, 5, "other side: the fork is on 5", 1]],
        [["fix", "Foragers", 6, 1, 1, "the cloths are in hand before the 1", 0],
         ["fix", nil, 6, 4, 5, "do not let it sink: the smoke rises", 0],
         ["praise", "Ada Quill", 2, 3, nil, "the jump lands without a sound", 0],
         ["question", nil, 6, 2, 3, "who looks up first?", 0]]
      ].freeze
      # Whose guardians have not said yes yet.
      WITHOUT = ["Dov Lindley", "Suri Bell"].freeze
      CLIPS = File.join(__dir__, "clips")
      # The second of the clip at which the third eight of Waggle Line begins.
      LAID = 3.0

      def initialize(piece, member, now)
        @piece = piece
        @member = member
        @now = now
      end

      def write
        rehearsals = studio.rehearsals.standing.where(date: ...@now.to_date).last(RUNS.size)
        rehearsals.each_with_index { |rehearsal, i| write_run(rehearsal, i) }
        consents
        clips
      end

      private

      def studio = @piece.studio
      def links = @links ||= @piece.links.to_a
      def person(name) = studio.people.find_by!("name LIKE ?", "#{name}%")
      def twelfths(count) = (count - 1) * Records::Note::TWELFTHS

      def said(rehearsal, key)
        at = rehearsal.date.to_time(:utc) + (19 * 3600)
        { studio_id: studio.id, said_at: (at.to_f * 1000).to_i, by_name: @member.account.name,
          client_id: "demo-run-#{rehearsal.id}-#{key}", created_at: at }
      end

      def write_run(rehearsal, number)
        kind, from, to, speed, steps = RUNS[number]
        run = Records::Run.create!(
          **said(rehearsal, "begin"), piece: @piece, rehearsal:, kind:, link_id: links[from - 1].id, speed:,
                                      to_link_id: links[to - 1].id, minute: rehearsal.end_minute - 25
        )
        steps.each_with_index { |step, i| write_step(run, step, i) }
        TROUBLES[number].each_with_index { |trouble, i| write_trouble(run, trouble, i) }
        NOTES[number].each_with_index { |note, i| write_note(run, note, i) }
        App::Runs::Actions::WriteDanced.new(run, @member, @now).run
      end

      def write_step(run, step, number)
        kind, link, row, count = step
        Records::RunStep.create!(
          **said(run.rehearsal, "step-#{number}"), run:, kind:, link_id: links[link - 1].id, row:, at: twelfths(count),
                                                   minute: run.minute + number + 4
        )
      end

      def write_trouble(run, trouble, number)
        link, row, count, kind, whose = trouble
        place = { row:, at: twelfths(count) }
        facts = { run:, piece: @piece, link_id: links[link - 1].id, kind:, **place, **whose(whose) }
        facts[:place] = Shared::PlaceName.of(links[link - 1], place)
        made = Records::Trouble.create!(**said(run.rehearsal, "spot-#{number}"), **facts)
        Array(whose.is_a?(Array) ? whose : nil).each do |name|
          made.trouble_people.create!(studio_id: studio.id, person: person(name), created_at: @now)
        end
      end

      def whose(whose)
        { everyone: whose == "everyone", group: @piece.groups.find_by(name: whose.is_a?(String) ? whose : "") }
      end

      def write_note(run, note, number)
        kind, whom, link, row, count, text, given = note
        about = about(whom)
        at = count && twelfths(count)
        place = { link_id: links[link - 1].id, section_id: links[link - 1].section_id, row:, at: }
        facts = { piece: @piece, run:, rehearsal: run.rehearsal, kind:, text:, **about, **place }
        row = Records::Note.create!(**said(run.rehearsal, "note-#{number}"), **facts)
        give(row, given)
      end

      def give(note, times)
        times.times do
          App::Runs::Actions::GiveNote.new(note, @member.account, Reading::PieceSnapshots.of(@piece)).run(true)
        end
      end

      def about(whom)
        return { about: "section" } unless whom

        found = @piece.groups.find_by(name: whom)
        found ? { about: "group", group: found } : { about: "person", person: person(whom) }
      end

      def consents
        minors.reject { |one| WITHOUT.include?(one.name) }.each do |one|
          studio.consents.create!(
            person: one, by_name: "Guardian of #{one.first_name}", given_on: @now.to_date - 40,
            noted_by: @member.account.name, created_at: @now
          )
        end
      end

      def minors = @piece.people.where(adult: false).to_a

      def clips
        run = @piece.runs.order(:id).last
        clip("run.webm", kind: "clip", run:, marks: [mark(links[2])])
        clip("waggle_line.webm", kind: "reference", section_id: links[2].section_id, side: "front")
      end

      def mark(link) = { "link_id" => link.id, "row" => 3, "at" => 0, "second" => LAID }

      def clip(name, **facts)
        path = File.join(CLIPS, name)
        upload = File.open(path) do |file|
          seconds = Shared::ClipFile.look(file).seconds
          kept = Shared::ClipFile.upload(file, :store, metadata: { "filename" => name })
          @piece.uploads.create!(studio_id: studio.id, file_data: kept.data, by_name: @member.account.name, seconds:,
                                 created_at: @now, **facts)
        end
        people = @piece.people.where.not(name: WITHOUT).ids
        people.each { |id| upload.clip_people.create!(studio_id: studio.id, person_id: id, created_at: @now) }
      end
    end
  end
end
