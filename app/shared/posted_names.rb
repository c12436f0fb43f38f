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
        @names ||= @people.group_by { |person| first(person) }.values.map { |same| told_apart(same) }.reduce({}, :merge)
      end

      # {id => name} of people of one first name: as many letters of the last as tell each from all others.
      def told_apart(same)
        found = {}
        longest = same.map { |person| last(person).size }.max
        (1..[longest, 1].max).each do |letters|
          open = same.reject { |person| found.key?(person.id) }
          break if open.empty?

          alike = same.map { |person| last(person)[0, letters] }.tally
          open.each { |person| found[person.id] = shortened(person, letters) if alike[last(person)[0, letters]] == 1 }
        end
        same.to_h { |person| [person.id, found.fetch(person.id) { shortened(person, longest) }] }
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
