# frozen_string_literal: true

module App
  module Reading
    # One thing changed, to see what a plan would then be: another school, a rehearsal more or less, somebody free,
    # fewer or more passes, another teacher of a section. Planning::Actions::AcceptChange does it for good.
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
        return passes_in(work) if passes
        return work unless kind == "teacher" && valid?

        Core::Joins::Edit.section(work, section.id) { |each| each.with(choreographer: teacher.id) }
      end

      def problem(problem)
        if rehearsal
          gone = Records::Mapping::Identifiers.window(rehearsal.id)
          problem.with(windows: problem.windows.reject { |window| window.id == gone })
        elsif extra
          problem.with(windows: (problem.windows + [extra]).sort_by { |window| [window.day, window.start] })
        elsif person
          problem.freed(Records::Mapping::Identifiers.person(person.id))
        else
          problem
        end
      end

      # What fewer or more passes make of a section (as a row or in the core): its difficulty, and minutes set by hand.
      def passed(section)
        {
          difficulty: (section.difficulty * passes).clamp(0.7, 1.6).round(2),
          minutes: section.minutes && [(section.minutes * passes / 5).ceil * 5, 5].max
        }
      end

      # A further rehearsal in all rooms, its warm-up and cool-down taken off.
      def extra
        return unless kind == "extra"

        @extra ||= window if possible?
      end

      private

      def passes_in(work)
        work.sections.reduce(work) do |changed, each|
          Core::Joins::Edit.section(changed, each.id) { |own| own.with(**passed(own)) }
        end
      end

      def without(problem)
        gone = Records::Mapping::Identifiers.window(rehearsal.id)
        problem.with(windows: problem.windows.reject { |window| window.id == gone })
      end

      def with_extra(problem)
        problem.with(windows: (problem.windows + [extra]).sort_by { |window| [window.day, window.start] })
      end

      def id(name) = @params[name].to_s[/\A\d{1,18}\z/] || -1

      def possible?
        date && rooms.any? && [from, to].all? { |minute| minute && (minute % 5).zero? } && to - from > 60
      end

      def window
        care = Records::Mapping::Seasons.care(@studio)
        start = from + care.warm_up_for(@piece.sections.flat_map(&:hazards).uniq)
        length = to - care.cool_down - start
        Core::Planning::Window.new(
          id: Records::Mapping::Identifiers::EXTRA,
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
        Shared::Dates.parse(@params["date"], within: today..(today + 800))
      end
    end
  end
end
