# frozen_string_literal: true

module Core
  module Running
    # Kinds of run (docs/glossary.md): what each asks of the dancers, and at which rung whoever danced it has danced it.
    # rung: its name on the ladder; tracks: the strands (Learning::Strand) along which it is danced; small: everybody
    # marks, so that only the order was danced; speed: the percentage of the tempo it usually has; music: whether to the
    # music.
    class Kind < Values::Value.of(:name, :rung, tracks: %w[own].freeze, small: false, speed: 100, music: false)
      # Of a piece that is danced whole, on its spots and with the groups.
      WHOLE = %w[own ensemble].freeze
      ALL = [
        new(name: "stumble", rung: "slow"),
        new(name: "marked", rung: "slow", small: true),
        new(name: "slow", rung: "slow", speed: 60),
        new(name: "music", rung: "music", music: true),
        new(name: "other_side", rung: "music", tracks: %w[other_side].freeze, music: true),
        new(name: "without_cues", rung: "unprompted", music: true),
        new(name: "full_out", rung: "music", tracks: WHOLE, music: true),
        new(name: "dress", rung: "music", tracks: WHOLE, music: true)
      ].to_h { |kind| [kind.name, kind] }.freeze
      NAMES = ALL.keys.freeze
      # From this percentage of the tempo on it is danced at tempo.
      AT_TEMPO = 90

      # The Kind of this name. Raises ValueError where there is none.
      def self.of(name)
        ALL.fetch(name) { raise ValueError.new("kind", "must be one of #{NAMES.join(', ')}, got #{name.inspect}") }
      end

      # The rung it was really danced at: to no music it is not "with music", below the tempo it is slow.
      def danced_at(speed:, music:)
        return "slow" if speed < AT_TEMPO || rung == "slow"
        return rung if music

        "tempo"
      end
    end
  end
end
