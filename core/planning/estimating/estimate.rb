# frozen_string_literal: true

module Core
  module Planning
    # Live minutes a task takes, everything included (starting values of the studio's handbook; settings change
    # them). Every answer is a Breakdown: the total in whole grid steps and the lines it is made of.
    #
    # A new eight by a method is talk, then passes slow (at 60 %) and at tempo, with a reset after each: 20 s for up to
    # six dancers, 45 s above, 90 s with spots or props. The handbook's minutes hold for 110 beats a minute and a large
    # group; another tempo or group scales them by what the passes then take; layers taught one after the other need
    # their slow passes for each.
    #
    #   Estimate.new.learn(section).minutes  # => 35 for seven eights by "drill"
    class Estimate
      PRESETS = { "told_once" => 2, "drill" => 5, "layered" => 7, "many_passes" => 10 }.freeze
      # Passes of a new eight by method: [slow, at tempo].
      PASSES = { "told_once" => [0, 0], "drill" => [2, 2], "layered" => [3, 3], "many_passes" => [5, 4] }.freeze
      TALK = 2.0
      SLOW = 0.6
      BPM = 110.0
      UNDER_ELEVEN = 1.5
      # Creating material with the dancers takes that much of teaching what is there.
      MAKING = 1.5
      RESET_SECONDS = { small: 20, large: 45, spots: 90 }.freeze
      SMALL_GROUP = 6
      Breakdown = Struct.new(:minutes, :lines, keyword_init: true)
      Line = Struct.new(:what, :amount, :unit, keyword_init: true)

      # Seconds until everybody is back in place after a pass.
      def self.reset_seconds(people) = RESET_SECONDS.fetch(people > SMALL_GROUP ? :large : :small)

      # factors: {choreographer => what their actual minutes came to, of what was estimated}.
      def initialize(grid: 5, under_eleven: false, factors: {})
        @grid = grid
        @age = under_eleven ? UNDER_ELEVEN : 1.0
        @factors = factors
      end

      # New material of a section, or only the share of it that is not yet there. What is known, or freestyle, takes
      # none.
      def learn(section, left: 1.0, bpm: BPM, people: nil)
        return nothing(section) if section.untaught?
        return fixed(section.minutes * left) if section.minutes

        teach(section, section.new_eights, left, bpm, people)
      end

      # The eights that differ, plus one pass of both endings back to back (2 minutes).
      def difference(section, counts, bpm: BPM, people: nil)
        up(teach(section, counts / 8.0, 1.0, bpm, people), "both endings back to back", 2)
      end

      # Two eights across the seam: talk, then so many passes with resets.
      def join(bpm:, people:, passes: 4)
        dance = passes * (16 * 60 / bpm / SLOW)
        together(
          [
            ["talk it through", 2],
            ["#{passes} slow passes of two eights", dance / 60],
            ["resets", passes * reset(people) / 60.0]
          ]
        )
      end

      # A chain or run of so many seconds, danced `passes` times, with notes after.
      def chain(seconds, people:, passes: 2, notes: 2)
        together(
          [
            ["#{passes} × #{(seconds / 60.0).round(1)} min", passes * seconds / 60.0],
            ["resets", passes * reset(people) / 60.0],
            ["notes", notes]
          ]
        )
      end

      # Known steps put onto groups and spots: walk it, then two passes with the long resets that spots take.
      def place(seconds)
        together(
          [
            ["walk the spots", 4],
            ["2 slow passes", 2 * seconds / 60.0 / SLOW],
            ["resets", 2 * RESET_SECONDS[:spots] / 60.0]
          ]
        )
      end

      # What one new eight is made of, in minutes: [[what, minutes], …].
      def one_eight(method, bpm: BPM, people: nil, layers: 1)
        slow, tempo = PASSES.fetch(method, PASSES["drill"])
        slow = [slow, layers > 1 ? 1 : 0].max * layers
        eight = 8 / bpm.to_f
        [
          ["talk", TALK],
          ["#{slow} slow passes", slow * eight / SLOW],
          ["#{tempo} passes at tempo", tempo * eight],
          ["resets", (slow + tempo) * reset(people || (SMALL_GROUP + 1)) / 60.0]
        ]
      end

      private

      def teach(section, eights, left, bpm, people)
        per_eight = PRESETS.fetch(section.method, 5)
        by = { "difficulty" => section.difficulty, **counting(factors(section, bpm, people)) }
        minutes = [eights * left * per_eight, *by.values].reduce(:*)
        lines = [
          Line.new(what: "new eights", amount: (eights * left).round(1), unit: "eights"),
          Line.new(what: section.method, amount: per_eight, unit: "min each"),
          *by.map { |what, amount| Line.new(what:, amount:, unit: "×") }
        ]
        whole(minutes, lines)
      end

      # What counts is shown, as it counts: to a hundredth.
      def counting(factors) = factors.transform_values { |amount| amount.round(2) }.reject { |_, amount| amount == 1 }

      # In whole grid steps, with what that adds.
      def whole(minutes, lines)
        total = [round_up(minutes), @grid].max
        added = (total - minutes).round(1)
        lines = [*lines, Line.new(what: "up to whole #{@grid} minutes", amount: added, unit: "min")] if added.positive?
        Breakdown.new(minutes: total, lines:)
      end

      def nothing(section)
        what = section.known ? "known already" : "freestyle is not taught"
        Breakdown.new(minutes: 0, lines: [Line.new(what:, amount: 0, unit: "min")])
      end

      # What else makes it longer or shorter.
      def factors(section, bpm, people)
        layers = Piece::Section::LAYERS.fetch(section.layers)
        {
          "under eleven" => @age,
          "this tempo and group" => ratio(section, { bpm:, people: }, {}),
          section.layers => ratio(section, { layers: }, {}),
          "made with the dancers" => section.made_here? ? MAKING : 1.0,
          "as this teacher's rehearsals came out" => @factors.fetch(section.choreographer, 1.0)
        }
      end

      def ratio(section, one, other)
        one_eight(section.method, **one).sum(&:last) / one_eight(section.method, **other).sum(&:last)
      end

      def up(breakdown, what, minutes)
        Breakdown.new(
          minutes: round_up(breakdown.minutes + minutes),
          lines: [*breakdown.lines, Line.new(what:, amount: minutes, unit: "min")]
        )
      end

      def together(parts)
        lines = parts.map { |what, minutes| Line.new(what:, amount: minutes.round(1), unit: "min") }
        Breakdown.new(minutes: round_up(parts.sum(&:last)), lines:)
      end

      def fixed(minutes)
        Breakdown.new(
          minutes: [round_up(minutes), @grid].max,
          lines: [Line.new(what: "set by hand", amount: minutes.round, unit: "min")]
        )
      end

      def reset(people) = Estimate.reset_seconds(people)
      def round_up(minutes) = (minutes.fdiv(@grid) - 1e-9).ceil * @grid
    end
  end
end
