# frozen_string_literal: true

module Core
  module Piece
    # Choreographed material with one owner who teaches it. time: how a count relates to the music's beat.
    # entry, exit: what is stated of the body at its edges ({weight: :left, facing: 5}); feel: "even" or "triplet".
    # layers: how its layers are taught; being_made: it is created with the dancers. co_teachers: who teaches it with
    # the choreographer; teachers_needed: "all", or "one" of them; planned_by: whom a plan calls where one is enough.
    # known: it is there already, to be joined and not taught. parts: empty when every group dances it as written.
    class Section < Values::Value.of(
      :id, :name, choreographer: nil, rows: [].freeze, time: "normal", expected_counts: nil,
                  parts: [].freeze, hazards: [].freeze, difficulty: 1.0, method: "drill", minutes: nil,
                  entry: {}.freeze, exit: {}.freeze, feel: "even", fidelity: "set", layers: "together",
                  being_made: false, co_teachers: [].freeze, teachers_needed: "all", planned_by: nil,
                  known: false
    )
      # In which order layers are taught => how often its slow passes are danced for that.
      LAYERS = { "together" => 1, "feet_first" => 2, "arms_first" => 2 }.freeze
      # Beats of music per count.
      BEATS = { "normal" => 1r, "half" => 2r, "double" => 1r / 2, "bar3" => 3r, "bar4" => 4r }.freeze

      # Everybody who teaches it, its owner first.
      def teachers = [choreographer, *co_teachers].compact.uniq

      # Who is called to teach it: all of them, or where one is enough the one a plan chose, else the owner.
      def called_teachers = teachers_needed == "all" ? teachers : [planned_by || teachers.first].compact

      # Counts of all its eights.
      def counts = rows.sum(&:counts)

      # Beats of the music to a count, by BEATS (Rational).
      def beats_per_count = BEATS.fetch(time)

      # Lines of eight, the currency of lengths: 6.5 for six eights and a 4.
      def eights = counts / 8.0

      # Whether it is still being created with the dancers, or theirs to make.
      def made_here? = being_made || fidelity == "yours"

      # Ids of the groups that dance it; empty means everybody.
      def groups = parts.map(&:group)

      private

      def settle
        raise ValueError.new("name", "needs a text") if name.to_s.strip.empty?
        return if BEATS.key?(time)

        raise ValueError.new("section.time", "must be one of #{BEATS.keys.join(', ')}, got #{time.inspect}")
      end
    end
  end
end
