# frozen_string_literal: true

module App
  module Reading
    # One thing changed, to see what a plan would then be: another school, a rehearsal more or less, somebody free,
    # fewer or more passes, another teacher of a section. It can also be done for good.
    class WhatIfChange
      KINDS = %w[school without extra freed passes teacher].freeze
      PASSES = { "fewer" => 0.8, "more" => 1.2 }.freeze

      # params: what the form sends; nothing chosen is no variation.
      def initialize(piece, params)
        @piece = piece
        @studio = piece&.studio
        @params = params
        @kind = KINDS.find { |kind| kind == params["change"] }
      end

      NONE = new(nil, {})

      attr_reader :kind

      def school = (@params["school"].presence_in(Core::Planning::Schools::ALL.keys) if kind == "school")
      def rehearsal = @rehearsal ||= (@studio.rehearsals.standing.find_by(id: id("rehearsal")) if kind == "without")
      def person = @person ||= (@studio.people.find_by(id: id("person")) if kind == "freed")
      def section = @section ||= (@piece.sections.find_by(id: id("section")) if kind == "teacher")
      def teacher = @teacher ||= (@studio.people.choreographers.find_by(id: id("teacher")) if kind == "teacher")
      def passes = (PASSES[@params["passes"]] if kind == "passes")

      # Whether enough was said to do it.
      def valid? = !kind.nil? && [school, rehearsal, extra, person, passes, section && teacher].any?

      def text
        case kind
        when "school"
          I18n.t("schools.#{school}.name")
        when "without"
          I18n.t("what_if.without", day: Shared::Dates.day(rehearsal.date))
        when "extra"
          I18n.t(
            "what_if.extra",
            day: Shared::Dates.day(Date.iso8601(extra.date)),
            from: @params["start"],
            to: @params["end"]
          )
        when "freed"
          I18n.t("what_if.freed", name: person.name)
        when "passes"
          I18n.t("what_if.passes.#{@params['passes']}")
        else
          I18n.t("what_if.teacher", section: section.name, name: teacher.name)
        end
      end

      def work(work)
        if passes
          return (
            work.sections
              .reduce(work) do |changed, each|
                Core::Joins::Edit.section(changed, each.id) { |own| own.with(**passed(own)) }
              end
          )
        end
        return work unless kind == "teacher" && valid?

        Core::Joins::Edit.section(work, section.id) { |each| each.with(choreographer: teacher.id) }
      end

      def problem(problem)
        if rehearsal
          return (
            problem.with(
              windows: problem.windows.reject { |window| window.id == Records::Mapping::Identifiers.window(rehearsal.id) }
            )
          )
        end
        if extra
          return problem.with(windows: (problem.windows + [extra]).sort_by { |window| [window.day, window.start] })
        end
        return problem unless person

        problem.freed(Records::Mapping::Identifiers.person(person.id))
      end

      # Does it for good (a school is the plan's own; passes are a wish of the piece).
      def accept
        case kind
        when "school"
          @piece.update!(settings: @piece.settings.merge("school" => school))
        when "without"
          rehearsal.update!(cancelled_at: Shared::Clock.now)
        when "extra"
          Rehearsals::Actions::Add.new(
            @studio,
            {
              "single" => extra.date,
              "start" => @params["start"],
              "end" => @params["end"],
              "rooms" => @studio.rooms.open.ids.map(&:to_s)
            }
          ).run
        when "freed"
          free
        when "passes"
          @piece.sections.each { |row| row.update!(**passed(row)) }
        else
          section.update!(choreographer: teacher)
        end
        @piece.reload.touch
      end

      private

      # What fewer or more passes make of a section (as a row or in the core): its difficulty, and minutes set by hand.
      def passed(section)
        {
          difficulty: (section.difficulty * passes).clamp(0.7, 1.6).round(2),
          minutes: section.minutes && [(section.minutes * passes / 5).ceil * 5, 5].max
        }
      end

      def id(name) = @params[name].to_s[/\A\d{1,18}\z/] || -1

      # Somebody comes after all, from today on: days ahead are taken out of what they had said, days past stay.
      def free
        today = @studio.local(Shared::Clock.now).to_date
        ahead = person.absences.where(to_date: today..)
        ahead.where(from_date: today..).destroy_all
        ahead.where(from_date: ...today).find_each { |absence| absence.update!(to_date: today - 1) }
        person.visits.where(date: today..).destroy_all
      end

      # A further rehearsal in all rooms, its warm-up and cool-down taken off.
      def extra
        return unless kind == "extra"

        @extra ||= window if date && rooms.any? && [from, to].all? { |minute| minute && (minute % 5).zero? } &&
          to - from > 60
      end

      def window
        care = Records::Mapping::Seasons.care(@studio)
        start = from + care.warm_up_for(@piece.sections.flat_map(&:hazards).uniq)
        length = to - care.cool_down - start
        Core::Planning::Window.new(
          id: "extra",
          date: date.iso8601,
          start:,
          finish: start + (length / 5 * 5),
          rooms: rooms.map { |room| [Records::Mapping::Identifiers.room(room.id), room.capacity] }
        )
      end

      def rooms = @rooms ||= @studio.rooms.open.to_a
      def from = Formats::Times.minutes(@params["start"])
      def to = Formats::Times.minutes(@params["end"])

      # From today on, and no further than a season.
      def date
        today = @studio.local(Shared::Clock.now).to_date
        Date.iso8601(@params["date"].to_s).then { |date| date if date.between?(today, today + 800) }
      rescue ArgumentError # no date, or too long for one
        nil
      end
    end
  end
end
