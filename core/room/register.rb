# frozen_string_literal: true

module Core
  module Room
    # Who is at a rehearsal, as it was said of them. Whoever came late warms up first; whoever rests attends and does
    # not dance; whoever marks dances small. Of whom nobody said anything nothing is known: they count as here only as
    # long as nothing was said of anybody.
    class Register
      HERE = %w[present late marking resting].freeze

      # said: [Said], in any order; called: {person => minute of the day they are called for}; warm_up: minutes.
      def initialize(said, called: {}, warm_up: 15)
        @said = said.group_by(&:person).transform_values { |own| own.sort_by.with_index { |one, i| [one.at, i] } }
        @called = called
        @warm_up = warm_up
      end

      # Whether anything was said of anybody.
      def begun? = @said.any?

      # One of Said::STATES, or nil where nothing was said.
      def state(person) = @said[person]&.last&.state

      # The minute from which somebody may dance who came late; nil for everybody else. Whoever is said to be here after
      # all has warmed up.
      def ready_at(person)
        own = @said.fetch(person, [])
        came = own.rindex { |one| one.state == "late" } or return
        return if own.drop(came + 1).any? { |one| %w[present absent].include?(one.state) }

        own[came].minute + @warm_up
      end

      # Whether somebody is in the building.
      def in_building?(person) = HERE.include?(state(person))

      # Whether somebody dances then, full out or small, so that a tick for all may be theirs.
      def dances?(person, minute)
        return !begun? if state(person).nil?

        %w[present late marking].include?(state(person)) && (ready_at(person).nil? || ready_at(person) <= minute)
      end

      # Whether a pass of theirs is danced small.
      def marks?(person) = state(person) == "marking"

      # Of these people: who dances then as others do, so that a tick for all is theirs.
      def ticked(people, minute) = people.select { |person| dances?(person, minute) && !marks?(person) }

      # Who is called by then and not said to be here, left or absent: [person], who has been waited for longest first.
      def missing(minute)
        waited = @called.select { |person, from| from <= minute && state(person).nil? }
        waited.keys.sort_by { |person| @called[person] }
      end

      # How many of those called are here.
      def count = @called.keys.count { |person| in_building?(person) }
    end
  end
end
