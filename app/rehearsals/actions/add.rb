# frozen_string_literal: true

module App
  module Rehearsals
    module Actions
      # Adds rehearsals: every week on chosen days between two dates, or on single dates.
      class Add
        MOST = 200

        def initialize(studio, params)
          @studio = studio
          @params = params
          @rooms = studio.rooms.open.where(id: Array(params["rooms"]).grep(/\A\d+\z/)).to_a
        end

        # Value: how many were added. A date and time that is there already is left alone. A studio without a room says
        # its first one here.
        def run
          Records::Rehearsal.transaction do
            first = first_room
            problem = first&.errors.to_h.merge(faults)
            raise Wrong, problem if problem.any?

            Shared::Result.ok(dates.count { |date| add(date) })
          end
        rescue Wrong => e
          Shared::Result.no(e.problem)
        end

        # Nothing of it is kept, not even the room.
        class Wrong < StandardError
          attr_reader :problem

          def initialize(problem)
            @problem = problem
            super("something is wrong with it")
          end
        end
        private_constant :Wrong

        private

        def first_room
          return if @params["room"].to_s.strip.empty? || @studio.rooms.open.exists?

          AddRoom.new(@studio, @params).run.tap { |result| @rooms = [result.value].compact }
        end

        def faults
          {
            rooms: (:rooms if @rooms.empty?),
            times: (:times unless from && to && to > from && (from % 5).zero? && (to % 5).zero?),
            dates: (dates ? (:no_dates if dates.empty?) : :dates),
            many: (:many if dates && dates.size > MOST)
          }.compact.transform_values do |key|
            I18n.t("rehearsals.faults.#{key}", most: MOST)
          end
        end

        def from = @from ||= Formats::Times.minutes(@params["start"])
        def to = @to ||= Formats::Times.minutes(@params["end"])

        # All dates asked for, or nil when one cannot be read.
        def dates = @dates ||= @params["single"].to_s.strip.empty? ? weekly : single

        def weekly
          first = date(@params["first"])
          last = date(@params["last"])
          return unless first && last && last >= first && last - first <= 800

          days = Array(@params["days"]).map(&:to_i)
          (first..last).select { |date| days.include?(date.cwday) }
        end

        def single
          found = @params["single"].split(/[\s,;]+/).reject(&:empty?).map { |word| date(word) }
          found.uniq if found.all?
        end

        def date(text) = Shared::Dates.parse(text)

        def add(date)
          if @studio.rehearsals.standing.where(date:)
              .any? { |other| other.start_minute < to && from < other.end_minute }
            return false
          end

          rehearsal = @studio.rehearsals.create!(date:, start_minute: from, end_minute: to)
          @rooms.each { |room| rehearsal.rehearsal_rooms.create!(studio: @studio, room:) }
          Records::Habit.spread(@studio, [rehearsal])
          rehearsal
        end
      end
    end
  end
end
