# frozen_string_literal: true

module App
  module Files
    module Tables
      # The dancers with their groups, in columns that the roster's import finds again.
      class Roster
        def initialize(studio, _today)
          @studio = studio
        end

        def name = "roster"

        def tables
          rows = dancers.map { |person| [person.name, groups(person), leader?(person), said(person.adult)] }
          [Formats::Table.new(name: I18n.t("files.tables.roster"), columns: %w[name groups leader adult], rows:)]
        end

        private

        def dancers = @studio.people.dancers.includes(groups: :piece).order(:name)
        def running(person) = person.groups.reject { |group| group.piece.archived? }
        def groups(person) = running(person).map(&:name).uniq.join("; ")
        def leader?(person) = said(running(person).any? { |group| group.leader_id == person.id })
        def said(yes) = yes ? "yes" : ""
      end
    end
  end
end
