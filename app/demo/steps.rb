# frozen_string_literal: true

module App
  module Demo
    # The sections of Ninety Thousand Wings, written out an eight a line.
    module Steps
      SECTIONS = {
        "Overwinter" => [
          ["1-4 kneel 5-8 hold", "low hum"],
          ["1-2 lean R 3-4 lean L 5-8 breathe", ""],
          ["1 head R 2 head L 3-4 shoulders 5-8 freestyle (either foot), R free", ""],
          ["1-4 get up 5 step R 6 close L 7-8 hold", "first knock"],
          ["1 step R 2 touch L 3 step L 4 touch R 5-8 jazz square R", ""],
          ["1 step R 2 step L 3& ball-change R L 4 hold 5-6 turn half right 7 step R 8 touch L", ""]
        ],
        "First Flight" => [
          ["1 step L fwd 2 step R fwd 3 step L fwd 4 kick R 5 step R 6 step L 7 step R 8 touch L", "wings"],
          ["1&2 triple L 3&4 triple R 5-8 grapevine L", ""],
          ["1 step R 2 kick L 3&4 pdb 5-6 reach 7-8 hold", ""],
          ["1 jump 2 hold 3 jump 4 hold 5 step R 6 step L 7&8 kbc R", "up"],
          ["1-2 pivot R 3-4 pivot R 5-6 arm swing 7-8 clap", ""],
          ["1-3 three step turn R 4 touch L 5-7 three step turn L 8 touch R", ""],
          ["1 step R 2 step L 3 step R 4 step L 5 face front 6 hold 7 step R 8 touch L", ""]
        ],
        "Waggle Line" => [
          ["1 step L 2 touch R 3 step R 4 touch L 5&6 triple L 7&8 triple R", "waggle"],
          ["1-2 hip roll 3-4 hip roll 5 step L 6 step R 7 hip 8 hip", ""],
          ["5 6 wait 7 step L 8& ball ch R L 1 kick R 2 - pdb 3&4", ""],
          ["1 step L 2 kick R 3 step R 4 kick L 5-8 jazz square L", ""],
          ["1-2 turn quarter L 3-4 turn quarter L 5 step L 6 step R 7 step L 8 close R", ""],
          ["1 step L 2 step R 3-4 turn half left 5 step L 6 touch R 7 step R 8 touch L", "point"]
        ],
        "Comb" => [
          ["1 step L 2 close R 3 step L 4 close R 5 clap 6 clap 7-8 arms open", "six walls"],
          ["1 step L 2 step R 3-4 turn quarter R 5 step L 6 step R 7-8 turn quarter R", ""],
          ["1 step L 2 step R 3-4 turn quarter R 5 step L 6 step R 7-8 turn quarter R", ""],
          ["1-2 plié 3-4 relevé 5 step L 6 close R 7 step L 8 close R", ""],
          ["1-4 grapevine L 5 step R 6 touch L 7 jump 8 arms fold", ""]
        ],
        "Smoke" => [
          ["1 step R 2 close L 3& ball-change R L 4 pick up grey cloth 5-6 turn half right 7 step R 8 step L",
           "low hum"],
          ["1 step R 2 step L 3-4 kneel 5-6 hold 7-8 get up", "bellows"],
          ["1-2 sway L 3-4 sway R 5-8 freestyle, L free", ""],
          ["1 step L 2 step R 3-4 turn half right 5 drop 6 7 stay 8 up", "cloth up"],
          ["1 step L 2 step R 3 step L 4 put down the cloth 5 step R 6 step L 7 step R 8 arms fold", ""]
        ],
        "Drift" => [
          ["1 step R 2 step L 3-4 turn half left 5 step R 6 step L 7-8 turn half left 9-10 hold", "wind"],
          ["1-4 arms circle 5 step R 6 touch L 7 step L 8 touch R 9-10 breathe out", ""],
          ["1-8 freestyle 9-10 hold, R free", ""],
          ["1 step R 2 step L 3 step R 4 step L 5-6 suspend 7 step R 8 hold 9 touch L 10 hold", ""]
        ],
        "Swarm" => [
          ["1 run L 2 run R 3 run L 4 run R 5 run L 6 run R 7 jump 8 hold", "ninety thousand"],
          ["1&2 triple L 3&4 triple R 5&6 triple L 7&8 triple R", ""],
          ["1 step L 2 kick R 3 step R 4 kick L 5-6 pivot L 7-8 pivot L", ""],
          ["1-4 jazz square L 5-8 jazz square L", ""],
          ["1 jump 2 jump 3 hold 4 hold 5 step L 6 step R 7 step L 8 touch R", ""],
          ["1 run R 2 run L 3 run R 4 run L 5-8 reach", ""],
          ["1&2 triple R 3&4 triple L 5-8 grapevine R", ""],
          ["1 step L 2 step R 3-4 slide L 5 step R 6 step L 7-8 body roll", ""],
          ["1 step R 2 step L 3 step R 4 touch L 5-6 turn L 7-8 hold", "still"]
        ],
        "New Queen" => [
          ["1 step L 2 touch R 3 step R 4 touch L 5-8 arms open", "one voice"],
          ["1 step L fwd 2 step R fwd 3 step L fwd 4 close R 5-8 hold. Builders: 1-4 arms open 5-8 arms up", ""],
          ["1-4 roll down 5-8 roll up", ""],
          ["1-3 three step turn L 4 touch R 5-7 three step turn R 8 touch L", ""],
          ["1 step L 2 close R 3-4 plié 5-8 arms up", "the lift"],
          ["1 step L 2 step R 3 step L 4 close R 5-8 hold", ""],
          ["1-4 hold", "dark"]
        ]
      }.freeze
      # What is different when Waggle Line comes back the last time.
      CHANGES = {
        "4" => "1 step L 2 kick R 3 jump 4 hold 5-8 jazz square L",
        "5" => "1-4 turn full L 5 step L 6 step R 7 step L 8 close R"
      }.freeze
      # What Wren dances in the chair, where the legs do something else.
      SEATED = {
        "Overwinter" => {
          1 => "1-4 lean 5-8 hold",
          4 => "1-4 reach 5 lean R 6 lean L 7-8 hold",
          5 => "1 wheel fwd 2 hold 3 wheel bk 4 hold 5-8 chair turn R"
        },
        "First Flight" => {
          1 => "1 wheel 2 wheel 3 wheel 4 clap lap 5 wheel 6 wheel 7 wheel 8 hold",
          4 => "1 reach 2 hold 3 reach 4 hold 5-8 chair turn R"
        },
        "Waggle Line" => {
          1 => "1 lean L 2 hold 3 lean R 4 hold 5-8 shoulders",
          4 => "1 twist L 2 twist R 3 twist L 4 twist R 5-8 chair turn L"
        },
        "Smoke" => {
          1 => "1-4 lean R 5-8 chair turn R",
          2 => "1 wheel 2 wheel 3-4 lean 5-6 hold 7-8 reach"
        },
        "Drift" => { 1 => "1-4 wheel fwd 5-8 chair turn L 9-10 hold" },
        "Swarm" => {
          1 => "1 wheel 2 wheel 3 wheel 4 wheel 5 wheel 6 wheel 7 reach 8 hold",
          5 => "1 clap lap 2 clap lap 3-4 hold 5-8 wheel bk"
        },
        "New Queen" => {
          2 => "1 wheel 2 wheel 3 wheel 4 hold 5-8 hold",
          4 => "1-4 chair turn L 5-8 chair turn R"
        }
      }.freeze
      # name => [[eight, count, what], …]
      CORRECTIONS = {
        "Smoke" => [[1, 5, "the half turn goes too far"], [2, 3, "knees land softly, no drop"]],
        "Waggle Line" => [[nil, nil, "sharp, then nothing"], [3, 8, "ball-change late"]],
        "Swarm" => [[5, 1, "soft knees in the jumps"]]
      }.freeze
    end
  end
end
