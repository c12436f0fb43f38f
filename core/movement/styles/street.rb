# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # Street styles.
      STREET = [
        Step.of("six step", "coffee grinder", "baby freeze", "backspin", "headspin", "swipe", "flare",
                "four step footwork", level: :floor, weights: [:floor], doubts: %i[facing], hazards: %w[floor_work]),
        Step.of("t-step", "t step", "t steps", doubts: %i[weight]),
        Step.of("hook", "hooks", foot: :free, open: true),
        Step.of("two-step", "two step", weights: %i[lead other], swing: [0, 12], counts: 2, doubts: %i[weight]),
        Step.of("running man", weights: %i[lead other], swing: [0, 12], counts: 2),
        Step.of("cross-unwind", "cross unwind", "unwind", weights: [:both], turn: 4, counts: 2,
                                                          doubts: %i[weight facing]),
        Step.of("slide", "glide", "slides", "glides", weights: [:lead], counts: 2, open: true),
        Step.of("top rock", "toprock", weights: %i[lead other], swing: [0, 12], counts: 2),
        Step.of("chest pop", "pop", "pops", layer: :body),
        Step.of("lock", "arm lock", layer: :arms),
        Step.of("wave", "arm wave", layer: :arms, counts: 2),
        Step.of("isolation", "rib isolation", "ribs", layer: :body),
        Step.of("tut", "tutting", layer: :arms),
        Step.of("groove", "rock groove", "groove it out", layer: :body, counts: 2, doubts: [:weight]),
        Step.of("dip low", "low drop", level: :low),
        Step.of("spin low", level: :low, turn: 8, counts: 2, hazards: %w[spin]),
        Step.of("knee drop", level: :kneeling, weights: [:floor], hazards: %w[knee_drop]),
        Step.of("freeze low", level: :low, kind: :hold),
        Step.of("jump back", weights: [:both], needs: :standing, hazards: %w[jump])
      ].freeze
    end
  end
end
