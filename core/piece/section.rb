# frozen_string_literal: true

module Core
  module Piece
    # Choreographed material with one owner who teaches it. time: how a count relates to the music's beat.
    # entry, exit: what is stated of the body at its edges ({weight: :left, facing: 5}); feel: "even" or "triplet".
    # layers: how its layers are taught; being_made: it is created with the dancers. co_teachers: who teaches it with
    # the choreographer; teachers_needed: "all", or "one" of them; planned_by: whom a plan calls where one is enough.
    # known: it is there already, to be joined and not taught. parts: empty when every group dances it as written; where
    # none are given, those that its eights say. run_without: full runs but the last do not wait for it.
    # cast_groups: [[id, name], …] of the piece, for what the eights say.
    class Section < Values::Value.of(
      :id, :name, choreographer: nil, rows: [].freeze, time: "normal", expected_counts: nil,
                  parts: [].freeze, hazards: [].freeze, difficulty: 1.0, method: "drill", minutes: nil,
                  entry: {}.freeze, exit: {}.freeze, feel: "even", fidelity: "set", layers: "together",
                  being_made: false, co_teachers: [].freeze, teachers_needed: "all", planned_by: nil,
                  known: false, cast_groups: [].freeze, run_without: false
    )
      # In which order layers are taught => how often its slow passes are danced for that.
      LAYERS = { "together" => 1, "feet_first" => 2, "arms_first" => 2 }.freeze
      # Beats of music per count.
      BEATS = { "normal" => 1r, "half" => 2r, "double" => 1r / 2, "bar3" => 3r, "bar4" => 4r }.freeze

      # Everybody who teaches it, its owner first.
      def teachers = [choreographer, *co_teachers].compact.uniq

      # Who is called to teach it: all of them, or where one is enough the one a plan chose, else the owner.
      def called_teachers = teachers_needed == "all" ? teachers : [planned_by || teachers.first].compact

      # Whose its joins are: the choreographer's, or, where one of several is enough, of whoever is called.
      def owners = teachers_needed == "one" ? called_teachers : [choreographer].compact

      # Counts of all its eights.
      def counts = rows.sum(&:counts)

      # Beats of the music to a count, by BEATS (Rational).
      def beats_per_count = BEATS.fetch(time)

      # Lines of eight, the currency of lengths: 6.5 for six eights and a 4.
      def eights = counts / 8.0

      # The same of what is taught: known material is there already, and freestyle nobody teaches.
      def new_eights = known ? 0.0 : rows.reject { |row| Movement::Freestyle.whole?(row.text) }.sum(&:counts) / 8.0

      # Whether there is nothing in it to teach, though it has eights.
      def untaught? = known || (rows.any? && new_eights.zero?)

      # Whether it is still being created with the dancers, or theirs to make.
      def made_here? = being_made || fidelity == "yours"

      # The last of its eights that has words, counted from 1; 0 where none has.
      def written = rows.rindex { |row| !row.text.strip.empty? }.to_i.then { |at| said?(at) ? at + 1 : 0 }

      # Whether every eight of it has words, as far as there are eights.
      def written? = rows.any? && written == rows.size

      # Ids of the groups that dance it; empty means everybody.
      def groups = parts.map(&:group)

      # [Part] as given, else as the eights say.
      attr_reader :parts

      # What its eights say of groups and nobody has settled: [SpokenParts::Asked].
      attr_reader :asked

      # Ids of groups that have steps of their own in it.
      attr_reader :own_groups

      # Ids of groups that do not dance all of it as taught: own steps, holds, the other side.
      def apart = parts.select { |part| part.mirrored || own_rows?(part.group) }.map(&:group)

      # Whether any eight is another for a group.
      def own_rows?(group) = cast_groups.any? && rows.any? { |row| row_of(group, row) != row_of(nil, row) }

      # Whether a group dances nothing of it as taught.
      def only_own?(group) = rows.any? && own_eights(group).size == rows.size

      # The eights that a group has of its own: [Row], with its own text.
      def own_eights(group)
        rows.select { |row| own?(group, row) }.map { |row| row_of(group, row) }
      end

      # Whether a group has steps of its own in an eight.
      def own?(group, row) = Section.said(row, cast_groups).own.key?(name_of(group))

      # Whether its parts are only said in its eights.
      def parts_said? = @given.empty? && parts.any?

      # The section as one group dances it: its own steps where it has some, its own part alone; stated edges left out
      # where they are those of other steps.
      def of_group(group)
        own = rows.map { |row| own?(group, row) }
        with(
          id: "#{id}@#{group}", rows: rows.map { |row| row_of(group, row) },
          parts: parts.select { |part| part.group == group }.map { |part| part.with(mirrored: false) },
          cast_groups: [], entry: own.first ? {} : entry, exit: own.last ? {} : exit
        )
      end

      # A row as one group dances it.
      def row_of(group, row)
        said = Section.said(row, cast_groups)
        return row unless said.any?

        own = said.own[name_of(group)]
        held = own || group.nil? ? [] : held(said, group, row)
        row.with(text: own || said.main, held:)
      end

      # What an eight's text says of groups: Movement::GroupWords::Said.
      def self.said(row, groups) = Movement::GroupWords.of(row.text, groups.map(&:last))

      private

      def said?(at) = !rows[at].nil? && !rows[at].text.strip.empty?
      def name_of(group) = cast_groups.to_h[group]

      def held(said, group, row)
        held = said.holds.select { |names, _, _| names.include?(name_of(group)) }
        held.map { |_, from, to| [from, to || row.counts] }
      end

      def settle
        speak
        raise ValueError.new("name", "needs a text") if name.to_s.strip.empty?
        return if BEATS.key?(time)

        raise ValueError.new("section.time", "must be one of #{BEATS.keys.join(', ')}, got #{time.inspect}")
      end

      # Takes from the eights what they say of groups.
      def speak
        @given = @parts unless @parts.equal?(@effective)
        spoken = SpokenParts.new(@rows, @cast_groups) if @cast_groups.any?
        spoken = nil unless spoken&.any?
        @own_groups = spoken ? spoken.own : []
        @asked = spoken ? spoken.asked : []
        @effective = @given.empty? && spoken ? spoken.parts : @given
        @parts = @effective
      end
    end
  end
end
