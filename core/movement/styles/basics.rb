# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # What every class says: stepping, waiting, turning, levels.
      BASICS = [
        Step.of("step", "st", "stp", "steps", "walk", "walks", "wk", "place", "step out", "step in", weights: [:lead]),
        Step.of("close", "cl", "together", "tog", "feet together", "join feet", weights: [:lead]),
        Step.of("cross", "cross step", "x step", "cross over", "cross behind", weights: [:lead]),
        Step.of("touch", "tch", "tap", "toe", "toe tap", "tip", foot: :free),
        Step.of("point", "pt", "tendu point", foot: :free),
        Step.of("heel", "heel dig", "dig", foot: :free),
        Step.of("kick", "kk", "flick", foot: :free),
        Step.of("lift knee", "knee up", "knee lift", "hitch", foot: :free),
        Step.of("stamp", "stomp", weights: [:lead]),
        Step.of("jump", "jumps", "jmp", "jump apart", "jump together", "bounce jump",
                weights: [:both], needs: :standing, hazards: %w[jump]),
        Step.of("hop", foot: :standing, needs: :standing, hazards: %w[jump]),
        Step.of("leap", weights: [:lead], needs: :standing, hazards: %w[jump]),
        Step.of("run", "runs", weights: [:lead], hazards: %w[run]),
        Step.of("hold", "stay", "wait", "freeze", "still", "stop", "pose", "hold it", kind: :hold),
        Step.of("silent", "nothing", "pause", kind: :silent),
        Step.of("free", "freestyle", "improvise", "improv", "own thing", "do your own", kind: :free),
        Step.of("turn", "trn", "spin", "rotate", layer: :body),
        Step.of("face", "facing", "look to face", layer: :body),
        Step.of("kneel", "kneel down", "down to knee", "to knees", "on knees",
                level: :kneeling, weights: [:both], hazards: %w[knee_drop]),
        Step.of("sit", "sit down", "to seat", level: :floor, weights: [:floor], hazards: %w[floor_work]),
        Step.of("lie", "lie down", "lay down", "down to floor", "to floor", "to the floor",
                level: :floor, weights: [:floor], hazards: %w[floor_work]),
        Step.of("roll", "log roll", "roll over", "roll across",
                level: :floor, weights: [:floor], hazards: %w[floor_work]),
        Step.of("get up", "up", "rise", "stand", "stand up", "come up", "recover up",
                level: :standing, weights: [:both]),
        Step.of("drop", "crouch", "squat", "get low", "down", level: :low),
        Step.of("change weight", "weight change", "shift", "transfer", weights: [:lead]),
        Step.of("rock", "rock step", "rock back", "rock forward", weights: %i[lead other], counts: 2),
        Step.of("sway", "sways", weights: [:lead]),
        Step.of("bounce", "pulse", "bob", layer: :body),
        Step.of("clap", "claps", layer: :arms),
        Step.of("snap", "click", "snaps", layer: :arms),
        Step.of("reach", "stretch", layer: :arms),
        Step.of("arms", "arm", "arms up", "arms down", "arms fold", "arms open", "arm wipe", "arm circle", "hands",
                layer: :arms),
        Step.of("pick up", "take up", "grab", layer: :arms, hands: :take),
        Step.of("put down", "lay aside", "let go", "let go of", "drop the", "set down", layer: :arms, hands: :drop),
        Step.of("take hands", "hold hands", "join hands", layer: :arms, hands: :take, holds: "hands"),
        Step.of("open", "close arms", "ctr", "centre", layer: :arms),
        Step.of("head", "look", "head roll", "nod", layer: :head),
        Step.of("breathe", "breath", "inhale", "exhale", "breathe in", "breathe out", layer: :breath),
        Step.of("hip", "hips", "hip back", "hip out", "bump", layer: :body),
        Step.of("shoulder", "shoulders", "shrug", layer: :body)
      ].freeze
    end
  end
end
