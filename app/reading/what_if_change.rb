# frozen_string_literal: true

module App
  module Reading
    # One thing changed, to see what a plan would then be: another school, a rehearsal more or less, somebody free or
    # away for days, a room lost, fewer or more passes, another teacher of a section, fewer full runs, fewer dancers
    # who are enough. Planning::Actions::AcceptChange does it for good.
    class WhatIfChange
      KINDS = %w[school without extra freed away room passes teacher runs quorum].freeze
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
      # Who would be away from one day to another: [Records::Person, Date, Date].
      def away = @away ||= (find_away if kind == "away")
      def room = @room ||= (@studio.rooms.open.find_by(id: id("room")) if kind == "room")
      def section = @section ||= (@piece.sections.find_by(id: id("section")) if kind == "teacher")
      def teacher = @teacher ||= (@studio.people.choreographers.find_by(id: id("teacher")) if kind == "teacher")
      def runs = (whole("count", 0..20) if kind == "runs")
      def quorum = (whole("share", 50..100) if kind == "quorum")
      def passes = (PASSES[@params["passes"]] if kind == "passes")

      # Whether enough was said to do it.
      def valid? = !kind.nil? && [school, rehearsal, extra, person, away, room, *of_the_work].any?

      def text
        return I18n.t("schools.#{school}.name") if kind == "school"
        return I18n.t("what_if.passes.#{@params['passes']}") if kind == "passes"

        I18n.t("what_if.#{kind}", **words)
      end

      def work(work)
        return passes_in(work) if passes
        return work unless kind == "teacher" && valid?

        Core::Joins::Edit.section(work, section.id) { |each| each.with(choreographer: teacher.id) }
      end

      # The season as it would be then (see Records::Mapping::Seasons).
      def season = { freed: person&.id, without: rehearsal&.id, extra:, away:, lost: room&.id }.compact

      # Settings of the piece that would be others.
      def settings = { "full_runs" => runs, "quorum" => quorum && (quorum / 100.0) }.compact

      # What fewer or more passes make of a section (as a row or in the core): its difficulty, and minutes set by hand.
      def passed(section)
        {
          difficulty: (section.difficulty * passes).clamp(0.7, 1.6).round(2),
          minutes: section.minutes && [(section.minutes * passes / 5).ceil * 5, 5].max
        }
      end

      # A further rehearsal in all rooms.
      def extra
        return unless kind == "extra" && possible?

        rooms = @studio.rooms.open.to_a
        @extra ||= Records::Mapping::Seasons::Thought.new(date:, start_minute: from, end_minute: to, rooms:)
      end

      private

      def of_the_work = [passes, runs, quorum, section && teacher]

      # What a sentence about it says.
      def words
        case kind
        when "without" then { day: Shared::Dates.day(rehearsal.date) }
        when "extra" then { day: Shared::Dates.day(extra.date), from: @params["start"], to: @params["end"] }
        when "freed" then { name: person.name }
        when "away" then { name: away.first.name, days: days_away }
        when "room" then { name: room.name }
        when "runs" then { count: runs }
        when "quorum" then { percent: quorum }
        else { section: section.name, name: teacher.name }
        end
      end

      def days_away = away.drop(1).uniq.map { |date| Shared::Dates.day(date) }.join(" – ")

      def find_away
        today = @studio.today(Shared::Clock.now)
        first = Shared::WrittenDates.read(@params["from"], today)
        last = @params["to"].to_s.strip.empty? ? first : Shared::WrittenDates.read(@params["to"], first || today)
        who = @studio.people.find_by(id: id("person"))
        [who, first, last] if who && first && last&.between?(first, first + 200) && last >= today
      end

      def passes_in(work)
        work.sections.reduce(work) do |changed, each|
          Core::Joins::Edit.section(changed, each.id) { |own| own.with(**passed(own)) }
        end
      end

      def whole(name, range)
        value = Integer(@params[name].to_s, exception: false)
        value if range.cover?(value)
      end

      def id(name) = @params[name].to_s[/\A\d{1,18}\z/] || -1

      # In five minutes' steps, with time to work, and in none of the rehearsals there are.
      def possible?
        return false unless date && @studio.rooms.open.any?

        [from, to].all? { |minute| minute && (minute % 5).zero? } && to - from > 60 && !taken?
      end

      def taken?
        @studio.rehearsals.standing.where(date:).any? { |each| each.start_minute < to && from < each.end_minute }
      end

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
