# frozen_string_literal: true

# What forms about runs, notes and clips send, and those of a dancer's own page.
module HomeRequests
  FORMS = {
    "/pieces/:piece/runs/:id/take-back" => -> { {} },
    "/pieces/:piece/runs/troubles/:id" => -> { { "kind" => "late", "whose" => "everyone" } },
    "/pieces/:piece/runs/troubles/:id/settle" => -> { { "to" => "yes" } },
    "/pieces/:piece/runs/troubles/:id/take-back" => -> { { "to" => "yes" } },
    "/pieces/:piece/runs/drills" => -> { { "from" => "1.1", "to" => "1.1", "repetitions" => "4" } },
    "/pieces/:piece/runs/drills/:id/rehearse" => -> { call_everybody },
    "/pieces/:piece/runs/drills/:id/done" => -> { { "to" => "yes" } },
    "/pieces/:piece/runs/drills/:id/drop" => -> { { "to" => "yes" } },
    "/pieces/:piece/notes" => -> { { "text" => "soft knees", "kind" => "fix", "about" => "all", "link" => "1" } },
    "/pieces/:piece/notes/:id/give" => -> { { "to" => "yes" } },
    "/pieces/:piece/notes/:id/settle" => -> { { "to" => "yes" } },
    "/pieces/:piece/clips" => -> { clip_form },
    "/pieces/:piece/clips/:id/marks" => lambda do
      { "link" => "1", "eight" => "1", "count" => "3", "second" => "2.5" }
    end,
    "/pieces/:piece/clips/:id/remove" => -> { {} },
    "/pieces/:piece/clips/consents" => -> { { "person" => dancer.id.to_s, "by" => "Guardian" } },
    "/pieces/:piece/clips/consents/:id/withdraw" => -> { {} },
    "/my/:token/reviews" => -> { review_form },
    "/pieces/:piece/reviews/:id" => -> { { "answer" => "yes" } },
    "/people/:id/calendar" => -> { { "file" => calendar_file } },
    "/people/:id/calendar/take" => -> { { "days" => ["2027-03-01|1080|1140", "2027-03-02||"] } },
    "/people/:id/family-word" => -> { { "word" => "clover field" } },
    "/pieces/:piece/sections/:id/paste/preview" => -> { { "text" => "1 step R\n1 step L", "way" => "after" } },
    "/pieces/:piece/sections/:id/paste" => lambda do
      { "text" => "1 kick R", "way" => "after", "lock_version" => section.lock_version.to_s }
    end,
    "/files/archive" => -> { {} },
    "/studios/archive" => lambda do
      { "file" => Rack::Test::UploadedFile.new(App::Shared::ArchiveFile.path(pack), "application/zip") }
    end,
    "/studios/archive/:id/take" => -> { {} },
    "/mail/:key" => -> { { "ways" => { "joins" => "never" } } },
    "/sheet/:code" => -> { { "word" => "Meadow" } },
    "/settings/programs" => -> { { "name" => "the foyer screen" } },
    "/settings/programs/:id/revoke" => -> { {} },
    "/pieces/:piece/music/midi" => -> { { "file" => midi_file } },
    "/files/piece/preview" => -> { { "text" => piece_file } },
    "/files/piece" => -> { { "text" => piece_file } },
    "/calls/calendars" => -> { { "of" => "person:#{dancer.id}" } },
    "/calls/calendars/:id/revoke" => -> { {} },
    "/my/:token/calendar" => -> { {} },
    "/my/:token/calendar/revoke" => lambda do
      studio.calendar_links.issue(person_id: dancer.id) && {}
    end,
    "/my/:token/questions" => -> { { "link" => piece.links.first.id.to_s, "text" => "on which foot?" } },
    "/my/:token/memory/:id" => -> { memory_form },
    "/my/:token/absences" => -> { grown_up && { "from_date" => "2027-02-20", "to_date" => "" } },
    "/my/:token/absences/:id/take-back" => -> { grown_up && {} },
    "/people/:id/guardian-link" => -> { {} },
    "/people/:id/guardian-link/revoke" => lambda do
      dancer.person_links.issue(studio_id: studio.id, kind: "guardian") && {}
    end,
    "/people/:id/erase" => lambda do
      { "name" => dancer.name, "seen" => App::People::Erasing::Places.new(studio, dancer).digest }
    end,
    "/people/:id/names" => lambda do
      erase = App::People::Actions::Erase
      erase.new(dancer, dancer.name).run
      { "seen" => App::People::Erasing::Places.new(studio, dancer.reload).digest }
    end,
    "/pieces/:piece/notes/:id/answer" => -> { { "text" => "the left" } }
  }.freeze
end
