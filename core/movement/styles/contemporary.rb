# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # Contemporary and floor work.
      CONTEMPORARY = [
        Step.of("spiral", layer: :body, counts: 4, doubts: %i[weight level facing]),
        Step.of("spiral down", "spiral to floor", "spiral to the floor", "spiral down to the floor",
                level: :floor, weights: [:floor], needs: :standing, counts: 4, doubts: [:facing],
                hazards: %w[floor_work]),
        Step.of("fall", "fall to floor", "melt", "melt to floor", "collapse", "falls", "fall down", "dive", "melts",
                level: :floor, weights: [:floor], counts: 4, open: true, doubts: [:facing], hazards: %w[floor_work]),
        Step.of("back roll", "forward roll", "shoulder roll over", "shoulder roll across", "backward roll",
                "shoulder roll on the floor", level: :floor, weights: [:floor], counts: 4, doubts: [:facing],
                                              hazards: %w[floor_work]),
        Step.of("fall into", "falls into", "falling into", "fall off", "falls off", "fall off to", "fall away",
                "falls away", "fall through", "fall out", doubts: %i[weight level]),
        Step.of("fall forward", "fall forwards", "falls forward", "fall fwd", doubts: %i[weight level],
                                                                              hazards: %w[floor_work]),
        Step.of("slide to floor", level: :floor, weights: [:floor], counts: 2, hazards: %w[floor_work]),
        Step.of("swing", "leg swing", "swings", foot: :free, counts: 2, open: true),
        Step.of("arm swing", "arms swing", layer: :arms, counts: 2),
        Step.of("curve", "side curve", "arch", layer: :body, counts: 2),
        Step.of("back bend", "bridge", layer: :body, counts: 4, hazards: %w[back_bend]),
        Step.of("curl", "curl up", "curl in", "curl down", "curl into a ball", "curl up into a ball",
                layer: :body, open: true, doubts: %i[weight level]),
        Step.of("roll down", "roll up", layer: :body, counts: 4),
        Step.of("suspend", "suspension", layer: :body),
        Step.of("release", "drop head", "drop over", "fold over", layer: :body),
        Step.of("tilt", foot: :free, counts: 2, open: true),
        Step.of("push up", "plank", "push to plank", level: :floor, weights: [:floor], open: true,
                                                     hazards: %w[floor_work]),
        Step.of("childs pose", "child's pose", "cobra", "downward dog", "down dog", "table top", "tabletop",
                level: :floor, weights: [:floor], doubts: %i[level], hazards: %w[floor_work]),
        Step.of("fall catch", "fall and catch", "fall to catch", weights: [:lead]),
        Step.of("knee slide", level: :kneeling, weights: [:floor], counts: 2, hazards: %w[knee_drop]),
        Step.of("rise to knees", "up to knees", "come to kneeling", level: :kneeling, weights: [:floor]),
        Step.of("crawl", "crawls", "crawling", level: :floor, weights: [:floor], hazards: %w[floor_work])
      ].freeze
    end
  end
end
