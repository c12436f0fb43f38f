# frozen_string_literal: true

module Core
  module Running
    # Spot drills from what went wrong: each starts one eight before and ends one after, so often, with whoever is
    # needed. What went well each time in the last two runs that danced it needs none any more; neighbouring spots are
    # drilled in one.
    class Drills
      # from, to: Eights::Eight; spots: [Spots::Spot] it is for; repetitions; minutes; dancers: ids of those who are
      # needed; known: whether it was always said who it was (else everybody who dances there is needed).
      Drill = Struct.new(:from, :to, :spots, :repetitions, :minutes, :dancers, :known, keyword_init: true)
      # Repetitions where nothing else is wished, and after trouble in several runs.
      REPETITIONS = 4
      AGAIN = 6
      # So many runs without trouble settle a spot.
      WELL = 2

      # spots: Spots; runs: [Run], oldest first; cast: {person => [group ids]}; in_link: ->(index) { [person] }.
      def initialize(spots, runs:, eights:, cast:, in_link:)
        @spots = spots
        @runs = runs
        @eights = eights
        @cast = cast
        @in_link = in_link
      end

      # [Drill], what went wrong in most runs first, then in running order.
      def all
        @all ||= clusters.map { |spots| drill(spots) }.sort_by { |drill| [-weight(drill), drill.from.from] }
      end

      # The Drill between two eights, as somebody wishes it. dancers: nil for everybody who dances there.
      def between(from, to, repetitions: REPETITIONS, dancers: nil, spots: [], known: true)
        people = dancers || everybody(from, to)
        takes = minutes(@eights.seconds(from.from, to.to + 1), people.size, repetitions)
        Drill.new(from:, to:, spots:, repetitions:, minutes: takes, dancers: people, known:)
      end

      private

      def weight(drill) = drill.spots.flat_map { |spot| spot.runs.keys }.uniq.size

      # Spots that are not settled, those on neighbouring eights together.
      def clusters
        open = @spots.all.reject { |spot| settled?(spot.eight) }
        open.slice_when { |one, two| @eights.after(one.eight) != two.eight }.to_a
      end

      def settled?(eight)
        danced = @runs.select { |run| run.danced?(eight.from, eight.to) }.last(WELL)
        danced.size == WELL && danced.none? { |run| run.troubles_in(eight.from, eight.to).any? }
      end

      def drill(spots)
        first, last = spots.map(&:eight).values_at(0, -1)
        from = @eights.before(first) || first
        to = @eights.after(last) || last
        troubles = spots.flat_map(&:troubles)
        known = troubles.all?(&:known?)
        dancers = (troubles.flat_map { |trouble| trouble.who(@cast) }.uniq & everybody(from, to) if known)
        again = spots.map { |spot| spot.runs.size }.max > 1
        between(from, to, repetitions: again ? AGAIN : REPETITIONS, dancers: (dancers if dancers&.any?), spots:, known:)
      end

      def everybody(from, to)
        @eights.between(from, to).map(&:link).uniq.map { |link| @in_link.call(link) }.reduce([], :|)
      end

      # Half of the repetitions slow, the others at tempo, with the usual resets.
      def minutes(seconds, people, repetitions)
        slow = repetitions / 2
        danced = (slow * seconds / Planning::Estimate::SLOW) + ((repetitions - slow) * seconds)
        resets = repetitions * Planning::Estimate.reset_seconds(people)
        ((danced + resets) / 60.0).ceil
      end
    end
  end
end
