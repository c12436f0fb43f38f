# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # Seated dance, in a chair or with wheels.
      SEATED = [
        Step.of("wheel", "wheel forward", "wheel back", "wheel bk", "wheel fwd", "push wheels",
                "wheels back", "wheels forward", "wheels", "push and glide",
                "roll your chair", "roll the chair", "roll your wheelchair", "roll in your chair", "push your chair",
                weights: [:seated], level: :seated, layer: :body, wheels: :rolling),
        Step.of("sit on a chair", weights: [:seated], level: :seated),
        Step.of("wheel turn", "turn chair", "chair turn", "chair spin", "spin chair",
                weights: [:seated], level: :seated, turn: 2, layer: :body, wheels: :rolling),
        Step.of("clap lap", "lap", "lap clap", "pat lap", "pat knees", layer: :arms),
        Step.of("twist", "torso twist", layer: :body),
        Step.of("lean", "lean forward", "lean back", "tip torso", layer: :body),
        Step.of("brake", "brakes", "brakes on", "lock the wheels", "lock wheels",
                weights: [:seated], level: :seated, layer: :body, wheels: :braked),
        Step.of("brakes off", "release the brakes", "unlock the wheels", "unlock wheels", "let go of the brakes",
                weights: [:seated], level: :seated, layer: :body, wheels: :free),
        Step.of("seated march", "march feet", layer: :body),
        Step.of("heel tap seated", "seated tap", layer: :body),
        Step.of("drum", "drum thighs", layer: :arms)
      ].freeze
    end
  end
end
