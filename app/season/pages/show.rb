# frozen_string_literal: true

module App
  module Season
    module Pages
      # The season: what each evening is for, over all pieces; evenings nobody is called on; the calendar; one plan of
      # several pieces.
      class Show
        # Of one piece on one evening.
        Line = Struct.new(:piece, :titles, :more, :minutes, :run, keyword_init: true)
        # One piece of an offer: what it gets, and what it gives up.
        Side = Struct.new(:id, :title, :first_run, :ready, :wanted, :unplaced, :runs, :without, :now,
                          keyword_init: true)
        MOST = 4

        attr_reader :member, :now, :errors

        # now: the studio's local time; errors, typed: of a form that was refused.
        def initialize(member, now, errors: {}, typed: {})
          @member = member
          @now = now
          @errors = errors
          @typed = typed
        end

        def title = I18n.t("ways.season")
        def screen = :season
        def studio = member.studio
        def director? = member.director?
        def today = now.to_date
        def value(name, default = "") = @typed.fetch(name, default).to_s

        def pieces = @pieces ||= studio.pieces.running.order(:show_date, :id).to_a
        def several? = pieces.size > 1

        # [[Monday, [rehearsal]], …] from today on.
        def weeks = rehearsals.group_by { |each| each.date.beginning_of_week }.to_a
        def rehearsals = @rehearsals ||= season.still_ahead(now)

        # What each piece does on an evening, in order of the day.
        def lines(rehearsal) = lines_by_rehearsal.fetch(rehearsal.id, [])

        # Whether an evening stands for work and nobody is called to it by anything that was planned.
        def empty?(rehearsal)
          rehearsal.kind == "rehearsal" && !rehearsal.left_empty && planned? && lines(rehearsal).empty?
        end

        # Whether anything is planned at all: before that, no evening is empty, it is not planned yet.
        def planned? = plans.any?

        # Titles of pieces that have something to plan and no plan: they may need an evening that is empty now.
        def unplanned = @unplanned ||= (plannable - plans.map { |plan| piece_of(plan.piece_id) }).map(&:title)

        def picture = planned? && rehearsals.any? ? Picture.new(self).svg : nil

        # The plans that are shown: the season's drafts that wait to be told, else what people were told, else drafts.
        def plans = @plans ||= pieces.filter_map { |piece| plan_of(piece) }

        # Drafts made as one season: [offer's id, [plan]], or nil.
        def waiting = @waiting ||= Together.drafts(studio).to_a.last

        # Of how many homes telling the waiting drafts changes the next two days.
        def soon
          @soon ||= waiting.last.flat_map { |plan| Reading::SoonChanged.new(plan, Shared::Clock.now).homes }.uniq.size
        end

        def offer = @offer ||= studio.plan_offers.where(kind: "season").order(:id).last
        def under_way? = !offer.nil? && offer.under_way?(Shared::Clock.now)
        def shown? = !offer.nil? && offer.done? && offer.taken_at.nil? && offer.created_at > Shared::Clock.now - 86_400
        def sides = offer.facts.fetch("pieces").map { |side| Side.new(**side.symbolize_keys) }
        def changes = offer.facts.fetch("changes").symbolize_keys
        def date(text) = text && Date.iso8601(text)

        # Pieces that have something to plan.
        def plannable
          @plannable ||= pieces.select { |piece| piece.links.exists? && piece.castings.exists? }
        end

        def days = @days ||= studio.season_days.where(to_date: today..).includes(:group).order(:from_date, :id).to_a
        def groups = @groups ||= studio.groups.where(piece_id: pieces.map(&:id)).order(:piece_id, :number).to_a
        def group_name(group) = several? ? "#{group.name} (#{piece_of(group.piece_id)&.title})" : group.name

        def kind_of(rehearsal) = rehearsal.kind == "rehearsal" ? nil : I18n.t("season.kinds.#{rehearsal.kind}")

        # What the calendar says of a date, in words.
        def said(date)
          days.select { |day| day.days.cover?(date) }.map do |day|
            [I18n.t("season.day_kinds.#{day.kind}"), day.group && group_name(day.group)].compact.join(": ")
          end
        end

        # {piece's id => [[rehearsal's id, minutes, whether it is a run], …]} for the picture.
        def load = @load ||= slots.group_by { |slot| by_plan.fetch(slot.plan_id).id }

        private

        def season = @season ||= Reading::SeasonSnapshots.of(studio, now)
        def piece_of(id) = pieces.find { |piece| piece.id == id }

        def plan_of(piece)
          mates = waiting ? waiting.last : []
          mates.find { |plan| plan.piece_id == piece.id } || season.published_plan(piece) || season.latest_plan(piece)
        end

        def by_plan = @by_plan ||= plans.to_h { |plan| [plan.id, piece_of(plan.piece_id)] }

        def slots
          @slots ||= studio.slots.work.where(plan_id: by_plan.keys, rehearsal_id: rehearsals.map(&:id))
            .order(:start_minute, :id).to_a
        end

        def lines_by_rehearsal
          @lines_by_rehearsal ||= slots.group_by(&:rehearsal_id).transform_values do |same|
            same.group_by { |slot| by_plan.fetch(slot.plan_id) }.map { |piece, own| line(piece, own) }
          end
        end

        def line(piece, slots)
          titles = slots.map(&:title).uniq
          Line.new(piece:, titles: titles.first(MOST), more: [titles.size - MOST, 0].max,
                   minutes: slots.sum(&:minutes), run: slots.any? { |slot| slot.kind == "run" })
        end
      end
    end
  end
end
