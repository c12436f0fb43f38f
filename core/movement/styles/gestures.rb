# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # What arms, head and trunk do by themselves: nothing of it moves the feet.
      GESTURES = [
        Step.of("load in", "dismount", "full down", "straight up extension", "liberty", "basket toss", "prep the stunt",
                "build the stunt", doubts: %i[weight level]),
        Step.of("circle", "circles", layer: :arms, open: true),
        Step.of("punch", "punches", "pump", "pumps", "jab", "jabs", "salute", "wipe", "scoop", "fold", "folds",
                "cradle",
                "throw", "throws", "hug", "high v", "low v", "v", "t", "t motion", "broken t", "clasp", "slap", "pat",
                "dab",
                "point at", "high five", "brush off", "brush it off", "push", "pushes", "pull", "pulls", "shake",
                "shakes", "shake it all about", "hit", "air guitar", "kick drum", "row", "wave hello", "blow a kiss",
                "flex", "conduct", "port de bras", "hands up", "put your hands up", layer: :arms,
                                                                                    open: true),
        Step.of("shimmy", "wiggle", "twerk", "thrust", "vibrate", "nae", "bend", "bends", "straighten", "straightens",
                "body wave", "body rock", "isolate", "isolations", "bow", "bows", "bend your knee", "bend knee",
                "knee bend", "pat your knee", "lean in", "tense", "shiver", "crunch", "ripple", "undulate",
                "knock", "knock your knee", "smile", "wink", "nothing else", "shoulder roll",
                "shoulder rolls", "roll the shoulders",
                "rock side to side", "rock back and forth", "swing side to side", layer: :body),
        Step.of("shout", "sing", "roar", "call", "stamp your voice", "hum", "whisper", layer: :breath),
        Step.of("airborne", level: :air, weights: [:air]),
        Step.of("windmill", layer: :arms, open: true),
        Step.of("carried", "carry", "carries you", "carries you off", "carries me", "picks me up", "picks you up",
                "picks her up", "picks him up", "pick me up", "picked up", "is lifted", "gets lifted", "lifted by",
                "still in the lift",
                "he lifts you",
                "lifts you", "lifts me", "in the lift", level: :air, weights: [:air],
                                                        doubts: %i[weight facing], hazards: %w[lift]),
        Step.of("skate", "skates", "pony", "chug", "chugs", "shuffle", "shuffles", "moonwalk", "wop", "krump",
                "time step",
                doubts: [:weight]),
        Step.of("swing your partner", "swing your partners", "do si do", "swing partner", "promenade",
                doubts: %i[weight facing])
      ].freeze
    end
  end
end
