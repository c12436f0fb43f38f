# frozen_string_literal: true

module App
  module Season
    module Pages
      # Who comes to which rehearsal: people down, rehearsals across, a tick for who is away all evening.
      class Who
        MOST = 40
        attr_reader :member, :now

        def initialize(member, now)
          @member = member
          @now = now
        end

        def title = "#{I18n.t('season.who')} · #{I18n.t('ways.season')}"
        def screen = :season
        def wide? = true
        def studio = member.studio
        def may_say? = member.director? || member.role == "assistant"
        def rehearsals = @rehearsals ||= season.still_ahead(now).uniq(&:date).first(MOST)

        # Who has said nothing yet, and whether they may be reminded.
        def silent = @silent ||= not_said.people
        def may_ask? = not_said.may_ask?
        def again_on = not_said.again_on

        # [[title, [person]], …]: dancers of what is rehearsed, then teachers.
        def groups
          pieces = studio.pieces.running.ids
          cast = Records::Casting.where(studio_id: studio.id, piece_id: pieces).select(:person_id)
          dancers = studio.people.present.where(id: cast).order(:name).to_a
          teachers = studio.people.present.where(teaches: true).where.not(id: dancers.map(&:id)).order(:name).to_a
          [[I18n.t("season.dancers"), dancers], [I18n.t("season.teachers"), teachers]].reject { |_, all| all.empty? }
        end

        # Whether somebody is away on a day: "all", "part" (with the hours in words) or nil.
        def away(person, date)
          own = by_person.fetch(person.id, []).select { |row| date.between?(row.from_date, row.to_date) }
          return if own.empty?

          own.any? { |row| row.from_minute.nil? && row.to_minute.nil? } ? "all" : "part"
        end

        # The hours of a day somebody is away from in part: "until 19:00".
        def hours(person, date)
          row = by_person.fetch(person.id, []).find { |each| date.between?(each.from_date, each.to_date) }
          return "" unless row

          words = Shared::AwayWords.times(row.from_minute, row.to_minute)
          words[:until] && words[:from] ? "#{words[:until]}–#{words[:from]}" : sign(words)
        end

        # How many are missing all evening on a day.
        def missing(date)
          by_person.values.flatten.select { |row| date.between?(row.from_date, row.to_date) && row.from_minute.nil? }
            .reject(&:to_minute).map(&:person_id).uniq.size
        end

        private

        def not_said = @not_said ||= Reading::NotSaid.new(studio, now.to_date)

        def season = @season ||= Reading::SeasonSnapshots.of(studio, now)
        def by_person = @by_person ||= studio.absences.where(to_date: now.to_date..).order(:id).group_by(&:person_id)

        # "from 18:30", "until 19:00" in as few signs as a cell holds.
        def sign(words) = words[:from] ? "#{words[:from]}→" : "→#{words[:until]}"
      end
    end
  end
end
