# frozen_string_literal: true

module Core
  module Movement
    module Styles
      # Ballet basics and the waltz.
      BALLET = [
        Step.of("pas de bourrée", "pdb", "pas de bourree", "bourree", "pas de b",
                weights: %i[lead other lead], swing: [0, 6, 12], counts: 2),
        Step.of("tombé pas de bourrée", "tombe pas de bourree", "tombé pdb", "tombe pdb",
                weights: %i[lead other lead other], swing: [0, 12, 18, 24], counts: 3),
        Step.of("balancé", "balance", "bal", "waltz step", "waltz", "pas de basque", "triplet",
                weights: %i[lead other lead], swing: [0, 12, 24], counts: 3),
        Step.of("waltz turn", weights: %i[lead other lead], swing: [0, 12, 24], counts: 3, turn: 4),
        Step.of("plié", "plie", "bend knees", "dip", "demi plié", layer: :body),
        Step.of("relevé", "releve", "rise to toes", layer: :body),
        Step.of("tendu", foot: :free),
        Step.of("dégagé", "degage", foot: :free),
        Step.of("rond de jambe", "rond", "ronde", "rond de jamb", "ronds de jambe", foot: :free, counts: 2),
        Step.of("développé", "developpe", "unfold", foot: :free, counts: 4),
        Step.of("arabesque", "arab", foot: :free, counts: 2),
        Step.of("attitude", foot: :free, counts: 2),
        Step.of("pirouette", "pir", "single turn", foot: :standing, turn: 8, counts: 2, hazards: %w[spin]),
        Step.of("chaîné", "chaine", "chaines", "chaînés",
                weights: %i[lead other], swing: [0, 6], turn: 8, counts: 1, hazards: %w[spin]),
        Step.of("piqué turn", "pique turn", "pique", weights: [:lead], turn: 8, counts: 1, hazards: %w[spin]),
        Step.of("soutenu", weights: [:both], turn: 8, counts: 2),
        Step.of("glissade", weights: %i[lead other], swing: [0, 6], counts: 1),
        Step.of("temps levé", "temps leve", foot: :standing, needs: :standing, hazards: %w[jump]),
        Step.of("frappé", "frappe", "ballotté", "ballotte", foot: :free),
        Step.of("piqué arabesque", "pique arabesque", "piqué arab", "pique arab", "piqué attitude", "pique attitude",
                weights: [:lead]),
        Step.of("temps lié", "temps lie", weights: [:lead]),
        Step.of("tombé", "tombe", weights: [:lead]),
        Step.of("jeté", "jete", "petit jeté", "petits jetés", "grand jeté",
                weights: [:lead], needs: :standing, hazards: %w[jump]),
        Step.of("tour jeté", "tour jete", weights: [:lead], needs: :standing, doubts: [:facing], hazards: %w[jump]),
        Step.of("sauté", "saute", "sautés", weights: [:both], needs: :standing, hazards: %w[jump]),
        Step.of("changement", "changements", weights: [:both], needs: :standing, hazards: %w[jump]),
        Step.of("assemblé", "assemble", weights: [:both], needs: :standing, hazards: %w[jump]),
        Step.of("sissonne fermé", "sissonne fermee", "sissonne closed", weights: [:both], needs: :standing,
                                                                        hazards: %w[jump]),
        Step.of("sissonne", weights: [:lead], needs: :standing, hazards: %w[jump]),
        Step.of("pas de chat", weights: %i[lead other], swing: [0, 6], needs: :standing, hazards: %w[jump]),
        Step.of("échappé", "echappe", "sous sus", "soussus", weights: [:both]),
        Step.of("détourné", "detourne", weights: [:both], turn: 4),
        Step.of("curtsey", "reverence", "curtsy", layer: :body, counts: 4)
      ].freeze
    end
  end
end
