# frozen_string_literal: true

module Formats
  # A roster pasted from a sheet or uploaded as CSV: who dances, in which groups.
  module Roster
    # A text or a file's bytes => Result(people, faults, columns, new_groups, lines). Nothing is raised: every line that
    # is left out is named, and lines {taken:, known:, left_out:, heading:, empty:} add up to those of the file.
    # known_people: names that are there already; most_groups: how many groups there may be with the known ones;
    # columns: {kind => number of the column from 0}, heading: true or false, where somebody put them right by hand.
    def self.parse(source, **known) = Reader.new(source, **known).result

    # The text in a file's bytes. Raises FaultyFile where it is no text.
    def self.text(bytes) = Csv.text(bytes)

    # What a column can be.
    KINDS = %i[name first last groups leader adult needs].freeze

    # [{name:, groups:, leader:, adult:}] => CSV text.
    def self.render(people)
      CSV.generate do |csv|
        csv << %w[name groups leader adult]
        people.each do |p|
          csv << [
            Csv.safe(p[:name]),
            p[:groups].map { |g| Csv.safe(g) }.join("; "),
            p[:leader] ? "yes" : "",
            p[:adult] ? "yes" : ""
          ]
        end
      end
    end
  end
end

require_relative "roster/reader"
