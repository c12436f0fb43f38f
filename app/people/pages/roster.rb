# frozen_string_literal: true

module App
  module People
    module Pages
      # A roster to be taken in: pasted, looked at, then confirmed.
      class Roster
        attr_reader :text, :piece

        def initialize(studio, piece_id, text: nil)
          @studio = studio
          @piece = studio.pieces.running.find_by(id: piece_id.to_s[/\A\d+\z/])
          @text = text
        end

        def title = I18n.t("roster.title")
        def screen = :people
        def pieces = @studio.pieces.running.order(:title)
        def previewed? = !text.nil?
        def result = @result ||= Formats::Roster.parse(text, known_groups: piece ? piece.groups.map(&:name) : [])
        def columns = result.columns.map { |column| I18n.t("roster.columns.#{column}") }.join(", ")
        def known = @known ||= @studio.people.pluck(:name).to_set(&:downcase)
        def known?(person) = known.include?(person.name.downcase)
        def fault(fault) = I18n.t("roster.faults.#{fault.kind}", line: fault.line, subject: fault.subject)
      end
    end
  end
end
