# frozen_string_literal: true

module App
  module Shared
    # Names for a sheet that hangs where everybody passes: the first name and as many letters of the last as tell two
    # people apart.
    class PostedNames
      # people: all who may stand on one sheet; anything with an id and a name.
      def initialize(people)
        @people = people.uniq(&:id)
      end

      # "Ada Q."
      def of(person) = names.fetch(person.id) { shortened(person, 1) }

      def by_id(id) = names[id]

      private

      def names
        @names ||= @people.to_h { |person| [person.id, told_apart(person)] }
      end

      def told_apart(person)
        same = @people.reject { |other| other.id == person.id }.select { |other| first(other) == first(person) }
        longest = [last(person).size, 1].max
        letters = (1..longest).find do |count|
          same.none? { |other| shortened(other, count) == shortened(person, count) }
        end
        shortened(person, letters || longest)
      end

      def first(person) = person.name.split.first.to_s
      def last(person) = person.name.split.drop(1).last.to_s

      def shortened(person, letters)
        rest = last(person)
        return first(person) if rest.empty?

        rest.size <= letters ? "#{first(person)} #{rest}" : "#{first(person)} #{rest[0, letters]}."
      end
    end
  end
end
