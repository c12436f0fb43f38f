# frozen_string_literal: true

# Requests of the season: its calendar, its evenings, who can come when, one plan of several pieces.
module SeasonRequests
  FORMS = {
    "/people/:id/away" => -> { { "words" => "never Thursdays; 16 Feb" } },
    "/people/:id/habits/:number/delete" => -> { {} },
    "/people/:id/comes" => -> { {} },
    "/season/ask" => -> { {} },
    "/my/:token/comes" => -> { grown_up && {} },
    "/people/:id/out" => -> { { "days" => "3" } },
    "/season/who" => -> { { "away" => { dancer.id.to_s => ["2027-02-16"] }, "was" => {} } },
    "/my/:token/away" => -> { grown_up && { "words" => "from 18:00 on Tuesdays" } },
    "/my/:token/habits/:id/take-back" => -> { grown_up && {} },
    "/rehearsals/:id/change" => lambda do
      { "date" => "2027-02-03", "start" => "18:00", "end" => "20:00", "kind" => "technical",
        "rooms" => [studio.rooms.first.id.to_s], "lock_version" => studio.rehearsals.first.lock_version.to_s }
    end,
    "/rehearsals/:id/leave" => -> { { "to" => "yes" } },
    "/days" => -> { { "day_kind" => "holiday", "from" => "15 Feb", "to" => "20 Feb" } },
    "/days/:id/delete" => -> { {} },
    "/season/plan" => -> { { "pieces" => { piece.id => "1", second_piece.id => "2" } } },
    "/season/offers/:id/take" => -> { worked_out_anew.then { {} } },
    "/season/tell" => -> { { "together" => together.id, "homes" => "99" } }
  }.freeze
end
