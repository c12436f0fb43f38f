# frozen_string_literal: true

# The larger forms of ValidRequests, as somebody would fill them in.
module FilledForms
  def person_form(name, person = nil)
    { "name" => name, "dances" => "1", "adult" => "1", "lock_version" => person&.lock_version.to_s }
  end

  def piece_form
    {
      "title" => "Spring Piece",
      "show_date" => "2027-04-01",
      "length" => "3:20",
      "bpm" => "112",
      "structure" => "Gate, 4 eights, Odalys\nLantern, 2 eights"
    }
  end

  def music_form
    { **piece_form.except("bpm", "structure"), "tempo" => "112\nfrom 65: 96", "first_count" => "0.5", "form" => "" }
  end

  def section_form
    {
      "name" => "Opening Walk",
      "fidelity" => "yours",
      "method_preset" => section.method_preset,
      "difficulty" => "1",
      "length" => "4 eights",
      "note" => "soft knees",
      "entry" => { "facing" => "1" },
      "hazards" => ["lift"],
      "groups" => [piece.groups.first.id.to_s],
      "lock_version" => section.lock_version.to_s
    }
  end

  def settings_form
    {
      "name" => "Another name",
      "time_zone" => "Europe/London",
      "warm_up" => "10",
      "cool_down" => "5",
      "re_warm" => "5",
      "recap" => "5",
      "to_music" => "5",
      "max_continuous" => "60",
      "rest" => "10",
      "daily_minutes" => "180",
      "new_eights" => "8",
      "latest_finish" => "21:00"
    }
  end

  def formation
    piece.formations.find_or_create_by!(studio:, link: piece.links.first, moment: "entry", count: nil)
  end

  def moment = { "moment" => "entry", "version" => formation.lock_version.to_s }
  def in_room = { "here" => [dancer.id.to_s], "minutes" => {}, "taught" => {} }

  # A clip of the dancer's own, where clips are what counts.
  def review_form
    studio.update!(settings: studio.settings.merge("clips" => true, "learned_way" => "clip"))
    App::Reading::PieceSnapshots.clear
    RunWorld.make_consent(studio, dancer)
    { "link" => piece.links.first.id.to_s, "file" => Rack::Test::UploadedFile.new(RunWorld::CLIP, "video/webm") }
  end

  # The dancer says for themselves when they are away.
  def grown_up = studio.people.where(id: dancer.id).update_all(adult: true).positive?

  def midi_file
    bytes = Formats::Midi.render(track: Core::Music::Track.new(tempo: [[1, 100]]), markers: [], clicks: [], title: "W")
    Rack::Test::UploadedFile.new(StringIO.new(bytes), "audio/midi", original_filename: "winter.mid")
  end

  def piece_file
    App::Reading::PieceSnapshots.clear
    Formats::PieceFile.render(App::Reading::PieceContent.new(piece.reload).content)
  end

  def calendar_file
    event = Formats::Calendar::Event.new(uid: "1", date: NOW.to_date + 3, start: 600, finish: 660, summary: "Choir",
                                         sequence: 1, changed_at: NOW)
    text = Formats::Calendar.render([event], name: "Mine", zone: "Europe/London")
    Rack::Test::UploadedFile.new(StringIO.new(text), "text/calendar", original_filename: "mine.ics")
  end

  # Answers to what is asked of the chain.
  def memory_form
    snapshot = App::Reading::PieceSnapshots.of(piece.reload)
    asked = App::Reading::MemoryQuestions.new(snapshot).for_person(dancer, NOW.to_date)
    { "answers" => asked.to_h { |one| [one.key, one.answer] } }
  end

  # Everybody of the piece is called to what people were told. Answers an empty form.
  def call_everybody
    piece.published_plan.slots.work.each do |slot|
      people = piece.castings.pluck(:person_id) - slot.slot_people.pluck(:person_id)
      people.each { |id| slot.slot_people.create!(studio_id: studio.id, person_id: id, role: "dancer") }
    end
    {}
  end

  # A clip of the run, with nobody in it who lacks a yes.
  def clip_form
    studio.update!(settings: studio.settings.merge("clips" => true))
    RunWorld.make_consent(studio, dancer)
    file = Rack::Test::UploadedFile.new(RunWorld::CLIP, "video/webm")
    { "file" => file, "of" => "run:#{piece.runs.last.id}", "people" => [dancer.id.to_s] }
  end

  def wishes = { "full_runs" => "3", "ready_days" => "5", "quorum" => "90", "cleaning" => "0.3" }

  # A slot and a rehearsal to which it can be moved.
  def movable
    @movable ||= piece.latest_plan.slots.work.to_a.product(studio.rehearsals.standing.to_a).find do |slot, rehearsal|
      slot.rehearsal_id != rehearsal.id && moves?(Records::Slot.find(slot.id), rehearsal)
    end
  end

  def moves?(slot, rehearsal)
    moved = nil
    Records::Base.transaction(requires_new: true) do
      account = members["director"].account
      moved = App::Planning::Actions::MoveSlot.new(slot, rehearsal, account, studio.local(NOW)).run.ok?
      raise ActiveRecord::Rollback
    end
    moved
  end
end
