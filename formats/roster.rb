# frozen_string_literal: true

module Formats
  # A roster pasted from a sheet or uploaded as CSV: who dances, in which groups.
  module Roster
    # A text or a file's bytes => Result(people, faults, columns, new_groups, lines). Nothing is raised: every line that
    # is left out is named, and lines {taken:, known:, left_out:, heading:, empty:} add up to those of the file.
    # known_people: names that are there already; most_groups: how many groups there may be with the known ones.
    def self.parse(source, **known) = Reader.new(source, **known).result

    # The text in a file's bytes. Raises FaultyFile where it is no text.
    def self.text(bytes) = Letters.of(bytes)

    # [{name:, groups:, leader:, under_eighteen:}] => CSV text.
    def self.render(people)
      CSV.generate do |csv|
        csv << %w[name groups leader adult]
        people.each do |p|
          csv << [
            safe(p[:name]),
            p[:groups].map { |g| safe(g) }.join("; "),
            p[:leader] ? "yes" : "",
            p[:adult] ? "yes" : ""
          ]
        end
      end
    end

    # A cell that a spreadsheet would take for a formula gets a leading apostrophe.
    def self.safe(text) = text.to_s.match?(/\A[=+\-@\t\r]/) ? "'#{text}" : text.to_s
    private_class_method :safe
  end
end

require_relative "roster/letters"
require_relative "roster/rows"
require_relative "roster/reader"
