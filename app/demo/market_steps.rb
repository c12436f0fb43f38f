# frozen_string_literal: true

module App
  module Demo
    # The sections of Market Day as their teachers type them: an eight a line, in everyday words.
    module MarketSteps
      SECTIONS = {
        "Setting Up" => [
          "walk on from the sides R L R L, arms swing 5-8",
          "step R, tog, step R, touch; step L, tog, step L, touch",
          "crouch 1 2, lift the crate 3 4, stand up with it 5-8 both feet",
          "walk walk with the crate R L, put it down 3 4, dust your hands 5-8",
          "grapevine R with a clap, grapevine L with a clap",
          "unroll the awning: arms high 1-4, arms wide 5-8",
          "quarter turn R on 1 stepping R, L joins 2, x4",
          "arms fold 1-4, weathervane 5-8"
        ],
        "Fishwives" => [
          "step L, hip R, step R, hip L, x2",
          "stomp R 1, hands on hips 2, stomp L 3, chin up 4, shout 5 hold",
          "slap thighs 1 & 2, clap 3 & 4, step R 5, step L 6, point at the crowd 7 8",
          "kick ball change R, kick ball change R, walk R L R L",
          "lean R with the basket, lean L with the basket, repeat",
          "triple step R, triple step L, rock back R recover L, feet together"
        ],
        "Haggling" => [
          "step to your partner L R L, stop on both feet 4, arms 5-8",
          "R hand out, L hand out, shake heads, shake heads",
          "step touch R, step touch L, step touch R, step touch L",
          "jump back 1, point 3, jump back 5, point 7",
          "the coin bit, all 8",
          "heel R, together, heel L, together, clap clap clap clap",
          "slide to the left 1-4, shrug 5 6, freeze 7 8"
        ],
        "Closing Time" => [
          "R L R L slow walks back",
          "sit down on the kerb 1-4, look at your feet 5-8",
          "still sitting, roll the shoulders, roll the head",
          "get up by 4, weight on the left, brush off 5-8",
          "step R and sway, step L and sway, step R and sway, close",
          "everyone turns to the back 1-4, walk away R L R L",
          "lights out, stand still"
        ],
        "Rain Break" => [
          "run for cover: run R L R L R L R L",
          "shake it off 1-4, wring your sleeves 5-8",
          "do your own dance in the rain",
          "back to your place, finish on your right foot facing front"
        ]
      }.freeze
    end
  end
end
