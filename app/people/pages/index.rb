# frozen_string_literal: true

module App
  module People
    module Pages
      # Everybody of the studio, with who is away soon.
      class Index
        attr_reader :member

        # links: the secret of links that this session made, or nil.
        def initialize(member, today, result = nil, links: nil)
          @links = links
          @member = member
          @today = today
          @result = result
        end

        def title = I18n.t("ways.people")
        def screen = :people
        def studio = member.studio
        def director? = member.director?
        def errors = @result ? @result.errors : {}
        def typed = @result&.value
        def choreographers = studio.people.choreographers.includes(:visits)
        def dancers = studio.people.dancers.includes(:absences, groups: :piece)
        def archived = studio.people.where.not(archived_at: nil).order(:name)

        def sections
          running = studio.pieces.running.select(:id)
          @sections ||= studio.sections.where(piece_id: running).group(:choreographer_id).count
        end

        def groups(person) = person.groups.reject { |group| group.piece.archived? }.map(&:name).uniq.join(", ")
        # How many minors have no age band.
        def ageless = studio.people.dancers.where(adult: false, band: nil).count

        # Whose links may be made: how many nobody has, and how many can be printed.
        def links? = director? || member.role == "assistant"
        def missing_links = Reading::LinksAtOnce.new(studio).missing.size
        def printable_links = Reading::LinksAtOnce.new(studio, @links).given.size
        def linked = @linked ||= studio.person_links.live.pluck(:person_id).to_set

        def away(person)
          soon = person.absences.select { |absence| absence.to_date >= @today }.min_by(&:from_date) or return ""
          if soon.from_date == soon.to_date
            Shared::Dates.short(soon.from_date)
          else
            "#{Shared::Dates.short(soon.from_date)} – #{Shared::Dates.short(soon.to_date)}"
          end
        end
      end
    end
  end
end
