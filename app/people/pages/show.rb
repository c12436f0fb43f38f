# frozen_string_literal: true

module App
  module People
    module Pages
      # One dancer or choreographer.
      class Show
        attr_reader :person, :member, :errors, :link

        def initialize(person, member, today, errors: {}, typed: nil, link: nil)
          @person = person
          @member = member
          @today = today
          @errors = errors
          @typed = typed || {}
          @link = link
        end

        def title = person.name_was || person.name
        def screen = :people
        def director? = member.director?
        def helper? = director? || member.role == "assistant"
        def value(name) = @typed[name].to_s
        def absences = person.absences.where("to_date >= ?", @today - 7).order(:from_date)
        def dates = person.visits.order(:date).pluck(:date).map(&:iso8601).join("\n")
        def live_link = person.person_links.live.order(:id).last
        def pieces = Records::Piece.where(studio_id: person.studio_id, id: person.castings.pluck(:piece_id)).running
        def tapes = (1..Records::Person::TAPES)
      end
    end
  end
end
