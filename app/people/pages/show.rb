# frozen_string_literal: true

module App
  module People
    module Pages
      # One dancer or choreographer.
      class Show
        attr_reader :person, :member, :errors, :link

        # now: the studio's local time.
        def initialize(person, member, now, errors: {}, typed: nil, link: nil)
          @person = person
          @member = member
          @now = now
          @today = now.to_date
          @errors = errors
          @typed = typed || {}
          @link = link
        end

        # What it means that they are out today.
        def out = @out ||= Out.new(person, @now)

        # Whom they could come and go with.
        def companions = @companions ||= person.studio.people.dancers.where.not(id: person.id).to_a

        def title = person.name_was || person.name
        def screen = :people
        def director? = member.director?
        def helper? = director? || member.role == "assistant"
        def value(name) = @typed[name].to_s
        # Of single days; those of a habit are said by it.
        def absences = person.absences.where(habit_id: nil).where("to_date >= ?", @today - 7).order(:from_date)
        def habits = person.habits.order(:weekday).to_a
        def visits = @visits ||= VisitsForm.of(person)
        def dates = @typed.fetch("dates") { visits.now.keys.join("\n") }

        def absence_text(row) = Shared::AwayWords.days(row.from_date, row.to_date, row.from_minute, row.to_minute)
        def habit_text(habit) = Shared::AwayWords.habit(habit)

        # [[title, tail of its address, Records::PersonLink that lives or nil, words], …]: the dancer's own, and for a
        # minor a guardian's.
        def links
          kinds = { "dancer" => "link" }
          kinds["guardian"] = "guardian-link" unless person.adult
          kinds.map do |kind, tail|
            live = person.person_links.given.where(kind:).order(:id).last
            words = live ? I18n.t("people.link_given", day: Shared::Dates.day(live.created_at.to_date)) : nil
            [I18n.t("people.links.#{kind}"), tail, live, words || I18n.t("people.no_link")]
          end
        end

        # Whether a calendar address was made behind a private link.
        def calendar?(link) = person.studio.calendar_links.given.exists?(person_link_id: link.id)

        def pieces = Records::Piece.where(studio_id: person.studio_id, id: person.castings.pluck(:piece_id)).running
        def tapes = (1..Records::Person::TAPES)
      end
    end
  end
end
