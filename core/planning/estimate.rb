# frozen_string_literal: true

module Core
  module Planning
    # Live minutes a task takes, everything included (starting values of the studio's handbook; settings change
    # them). Every answer is a Breakdown: the total in whole grid steps and the lines it is made of.
    #
    #   Estimate.new.learn(section).minutes  # => 35 for seven eights by "drill"
    class Estimate
      PRESETS = { "told_once" => 2, "drill" => 5, "layered" => 7, "many_passes" => 10 }.freeze
      UNDER_ELEVEN = 1.5
      RESET_SECONDS = { small: 20, large: 45 }.freeze
      SMALL_GROUP = 6
      Breakdown = Struct.new(:minutes, :lines, keyword_init: true)
      Line = Struct.new(:what, :amount, :unit, keyword_init: true)

      def initialize(grid: 5, under_eleven: false)
        @grid = grid
        @age = under_eleven ? UNDER_ELEVEN : 1.0
      end

      # New material of a section, or only the share of it that is not yet there.
      def learn(section, left: 1.0)
        return fixed(section.minutes * left) if section.minutes

        teach(section, section.eights, left)
      end

      # The eights that differ, plus one pass of both endings back to back (2 minutes).
      def difference(section, counts) = up(teach(section, counts / 8.0, 1.0), "both endings back to back", 2)

      # Two eights across the seam: talk, then so many passes with resets.
      def join(bpm:, people:, passes: 4)
        dance = passes * (16 * 60 / bpm / 0.6)
        together([["talk it through", 2], ["#{passes} slow passes of two eights", dance / 60], ["resets", passes * reset(people) / 60.0]])
      end

      # A chain or run of so many seconds, danced `passes` times, with notes after.
      def chain(seconds, people:, passes: 2, notes: 2)
        together([["#{passes} × #{(seconds / 60.0).round(1)} min", passes * seconds / 60.0], ["resets", passes * reset(people) / 60.0], ["notes", notes]])
      end

      private

      def teach(section, eights, left)
        per_eight = PRESETS.fetch(section.method, 5)
        minutes = eights * per_eight * section.difficulty * @age * left
        lines = [Line.new(what: "new eights", amount: (eights * left).round(1), unit: "eights"),
                 Line.new(what: section.method, amount: per_eight, unit: "min each"),
                 Line.new(what: "difficulty", amount: section.difficulty, unit: "×")]
        lines << Line.new(what: "under eleven", amount: @age, unit: "×") if @age > 1
        Breakdown.new(minutes: round_up(minutes), lines:)
      end

      def up(breakdown, what, minutes)
        Breakdown.new(minutes: round_up(breakdown.minutes + minutes), lines: [*breakdown.lines, Line.new(what:, amount: minutes, unit: "min")])
      end

      def together(parts)
        lines = parts.map { |what, minutes| Line.new(what:, amount: minutes.round(1), unit: "min") }
        Breakdown.new(minutes: round_up(parts.sum(&:last)), lines:)
      end

      def fixed(minutes) = Breakdown.new(minutes: round_up(minutes), lines: [Line.new(what: "set by hand", amount: minutes.round, unit: "min")])
      def reset(people) = RESET_SECONDS.fetch(people > SMALL_GROUP ? :large : :small)
      def round_up(minutes) = (minutes.fdiv(@grid) - 1e-9).ceil * @grid
    end
  end
end
