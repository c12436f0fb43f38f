# frozen_string_literal: true

module Formats
  # A roster pasted from a sheet or uploaded as CSV: who dances, in which groups.
  module Roster
    # Text => Result(people, faults, columns). Nothing is raised: every bad line is named.
    def self.parse(text, known_groups: []) = Reader.new(text, known_groups:).result

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

require_relative "roster/reader"
