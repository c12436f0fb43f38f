# frozen_string_literal: true

module App
  module Demo
    # The made-up sample world: Thornbeck Youth Dance and its pieces. Nothing in it is real.
    module World
      STUDIO = "Thornbeck Youth Dance"
      DOMAIN = "thornbeck.example"
      DIRECTOR = "Ilse Harrow"
      ASSISTANT = "Perrin Slate"
      ROOMS = [["Long Room", 30, 150], ["Loft", 14, 60]].freeze
      # name => [tape, initials]
      CHOREOGRAPHERS = {
        "Odalys Venn" => [1, "OV"],
        "Kwabena Thorpe" => [2, "KT"],
        "Mirela Dusk" => [3, "MD"],
        "Tamsin Okell" => [4, "TO"]
      }.freeze
      GROUPS = {
        "Scouts" => ["Ada Quill", "Bram Oakes", "Cleo Marsh", "Dov Lindley", "Esi Rowan", "Finn Tallow", "Gita Ferris"],
        "Nurses" => ["Hal Brook", "Ines Copper", "Jory Swift", "Kit Larder", "Lumi Ash", "Maro Reed"],
        "Builders" => ["Nell Thatch", "Oto Vale", "Pia Fenn", "Quin Moss", "Rafi Stone", "Suri Bell", "Tove Lark"],
        "Foragers" => ["Uma Hazel", "Vito Crane", "Wren Alder", "Xanthe Lowe", "Yuri Pike", "Zola Mead"]
      }.freeze
      SEATED = "Wren Alder"

      WINGS = "Ninety Thousand Wings"
      WINGS_TEMPO = [[1, 112], [281, 108], [361, 126]].freeze
      WINGS_FORM = [
        ["intro", 48],
        ["verse", 104],
        ["chorus", 88],
        ["verse", 80],
        ["bridge", 40],
        ["chorus", 80],
        ["verse", 48],
        ["outro", 52]
      ].freeze
      WINGS_LINES = <<~LINES
        Overwinter, 6 eights, Odalys Venn
        First Flight, 7 eights, Kwabena Thorpe
        Waggle Line, 6 eights, Mirela Dusk
        Comb, 5 eights, Tamsin Okell
        Waggle Line again, other side
        Smoke, 5 eights, Kwabena Thorpe
        Drift, 4 tens, Odalys Venn
        Comb again
        Swarm, 9 eights, Kwabena Thorpe
        Waggle Line again, with changes in 4-5
        New Queen, 6 eights + 4, Odalys Venn
      LINES

      # name => facts beside length and teacher. parts: group => counts after the start, or these and the counts it
      # holds afterwards.
      WINGS_FACTS = {
        "Overwinter" => { method_preset: "layered", hazards: %w[floor_work low_light], difficulty: 0.9,
                          note: "Huddle in the cold; breath starts it." },
        "First Flight" => { method_preset: "many_passes", hazards: %w[jump run], difficulty: 1.1 },
        "Waggle Line" => { method_preset: "many_passes", hazards: [], difficulty: 1.0,
                           note: "The line points where the flowers are." },
        "Comb" => { method_preset: "drill", hazards: [], difficulty: 0.9, parts: { "Nurses" => 0, "Builders" => 0 } },
        "Smoke" => { method_preset: "layered", hazards: %w[knee_drop prop], difficulty: 1.0,
                     bring: "grey cloths, knee pads", parts: { "Scouts" => 0, "Foragers" => 0 } },
        "Drift" => { method_preset: "drill", hazards: %w[spin], difficulty: 0.8, fidelity: "loose" },
        "Swarm" => { method_preset: "many_passes", hazards: %w[run jump], difficulty: 1.3,
                     parts: { "Scouts" => [0, 8], "Nurses" => [4, 4], "Foragers" => [8, 0], "Builders" => [0, 8] } },
        "New Queen" => { method_preset: "layered", hazards: %w[lift], difficulty: 1.0,
                         note: "The lift is taught on mats first." }
      }.freeze

      MARKET = "Market Day"
      MARKET_LINES = <<~LINES
        Setting Up, 8 eights, Tamsin Okell
        Fishwives, 6 eights, Mirela Dusk
        Haggling, 7 eights, Tamsin Okell
        Fishwives again
        Closing Time, 6 eights + 4, Mirela Dusk
        Rain Break, 4 eights, not placed
      LINES
      MARKET_CAST = [
        "Agnes Pool",
        "Bertil Stone",
        "Corin Vale",
        "Dita Marsh",
        "Edda Lowe",
        "Falk Reed",
        "Greta Mould",
        "Hew Carter",
        "Isolde Finch",
        "Jonas Wick"
      ].freeze

      BOATS = "Paper Boats"
      BOATS_LINES = <<~LINES
        Launch, 4 eights, Tamsin Okell
        Drizzle, 3 eights, Mirela Dusk
        Launch again
        Harbour Wall, 4 eights, Tamsin Okell
      LINES

      LANTERNS = "Salt and Lanterns"
      LANTERNS_LINES = <<~LINES
        Harbour, 6 eights, Odalys Venn
        Nets, 5 eights, Kwabena Thorpe
        Harbour again, other side
        Lantern Walk, 8 eights, Mirela Dusk
      LINES
    end
  end
end
