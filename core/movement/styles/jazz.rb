# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # Jazz and show dance.
      JAZZ = [
        Step.of("ball-change", "ball change", "ball ch", "bc", "ball chg", weights: %i[lead other], swing: [0, 6]),
        Step.of("kick-ball-change", "kick ball change", "kbc", "kick ball ch",
                weights: %i[lead other], swing: [6, 12], counts: 2),
        Step.of("criss cross", "criss-cross", "crisscross", "criss crosses", doubts: %i[weight]),
        Step.of("step-touch", "step touch", "step tch", "step tap", "step touches", weights: [:lead], counts: 2),
        Step.of("grapevine", "vine", "grape vine", weights: %i[lead other lead], swing: [0, 12, 24], counts: 4),
        Step.of("jazz square", "box step", "jazz box",
                weights: %i[lead other lead other], swing: [0, 12, 24, 36], counts: 4),
        Step.of("chassé", "chasse", "shasse", "triple step", "triple", "shuffle step", "catch step", "polka step",
                "polka", "triples", "cha cha cha", "sashay",
                weights: %i[lead other lead], swing: [0, 6, 12], counts: 2),
        Step.of("pivot turn", "pivot", weights: %i[lead other], swing: [0, 12], turn: -4, counts: 2),
        Step.of("step pivot", "step pivot turn",
                weights: %i[lead other], swing: [0, 12], turn: -4, counts: 2),
        Step.of("paddle turn", "paddle", weights: %i[lead other], swing: [0, 6], turn: -2, counts: 1),
        Step.of("three-step turn", "three step turn", "3 step turn", "travelling turn",
                weights: %i[lead other lead], swing: [0, 12, 24], turn: 8, counts: 4, hazards: %w[spin]),
        Step.of("step together", "side together", "side close", "step close",
                weights: %i[lead other], swing: [0, 12], counts: 2, doubts: [:weight]),
        Step.of("coaster step", "coaster", "sailor step", "sailor", "mambo step", "mambo",
                weights: %i[lead other lead], swing: [0, 6, 12], counts: 2),
        Step.of("step together step touch", "side together side touch", "side close side touch",
                "step close step touch",
                "side together side", weights: %i[lead other lead], swing: [0, 12, 24], counts: 4),
        Step.of("side touch", "side tap", weights: [:lead], counts: 2),
        Step.of("step ball change", "step-ball-change", weights: %i[lead other lead], swing: [0, 12, 18], counts: 2),
        Step.of("shuffle ball change", weights: %i[lead other], swing: [12, 18], counts: 2),
        Step.of("samba step", "samba", "sambas", "samba whisk",
                weights: %i[lead other lead], swing: [0, 9, 12], counts: 2),
        Step.of("lock step", "lock steps", weights: %i[lead other lead], swing: [0, 6, 12], counts: 2),
        Step.of("lunge", "lunge out", "lunges", weights: [:lead]),
        Step.of("layout", "lay out", foot: :free, hazards: %w[back_bend]),
        Step.of("fan kick", "fan", foot: :free, counts: 2),
        Step.of("battement", "high kick", "grand battement", foot: :free),
        Step.of("passé", "passe", "retiré", "retire", foot: :free),
        Step.of("jazz run", "jazz runs", weights: [:lead], hazards: %w[run]),
        Step.of("camel walk", "slide walk", weights: [:lead]),
        Step.of("step-kick", "step kick", weights: [:lead], counts: 2),
        Step.of("charleston", "charleston step", weights: %i[lead other], swing: [0, 24], counts: 4),
        Step.of("body roll", "bodyroll", "chest roll", layer: :body, counts: 2),
        Step.of("contract", "contraction", layer: :body),
        Step.of("jazz hands", "sparkle hands", layer: :arms),
        Step.of("hip roll", "hip circle", layer: :body, counts: 2),
        Step.of("kick line", "line kick", foot: :free, counts: 2)
      ].freeze
    end
  end
end
