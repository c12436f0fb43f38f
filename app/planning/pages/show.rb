# frozen_string_literal: true

module App
  module Planning
    module Pages
      # The rehearsal plan: the build, what is ready when, what is short, who waits how long.
      class Show < Reading::PiecePage
        Burden = Struct.new(:person, :calls, :work, :waiting, keyword_init: true)

        attr_reader :fault

        # wishes: the form of what it aims at as it was sent, where something is wrong with it; fault: what.
        def initialize(wishes: nil, fault: nil, **rest)
          super(**rest)
          @wishes = wishes
          @fault = fault
        end

        def screen = :plan
        def wishes = @wishes ||= WishesForm.of(piece)
        def wish_conflicts = WishesForm.conflicts(wishes)
        def plan = season_snapshot.latest_plan(piece)
        def published = season_snapshot.published_plan(piece)

        # Where the build sends moves and pins; empty for those who may only look.
        def moving_path = director? ? path("/slots/") : ""

        def draft? = plan && !plan.published?
        # Whether so many rehearsals need the whole width of the page.
        def wide? = !plan.nil? && BuildColumns.wide?(rehearsals.size)
        def build = kept([:build, director?]) { BuildPicture.new(self).svg }
        def draft = @draft ||= Reading::PlanDraft.new(piece, now)
        def season = draft.season
        def rehearsals = kept(:rehearsals) { season.rehearsals }
        def open_rehearsals = kept(:open) { season.open }
        def unplaced = plan.result.fetch("unplaced", [])
        def reasons = plan.result.fetch("reasons", [])

        # [[text, what the form of What if says for it], …]. Plans made before that was kept have texts only.
        def repairs
          plan.result.fetch("repairs", []).map do |each|
            each.is_a?(String) ? [each, {}] : each.values_at("text", "asked")
          end
        end

        def proven? = plan.result["proven"]
        def unplaced_minutes = unplaced.sum { |task| task["minutes"] }
        def slots = plan ? kept(:slots) { plan.slots.includes(:rehearsal).to_a } : []
        def runs = kept(:runs) { slots.select { |slot| slot.kind == "run" }.sort_by { |slot| slot.rehearsal.date } }
        def first_run = runs.first&.rehearsal&.date
        def ready_on = unplaced.empty? ? runs.last&.rehearsal&.date : nil
        # Days between its last run and the first of its aims; below nought where that is missed.
        def slack = ready_on && aim && (aim - ready_on).to_i
        def aim = due || piece.show_date

        # "9 days to spare", "2 days too late for Fri 26 Feb"
        def slack_text
          return I18n.t("plans.spare", count: slack) unless slack.negative?

          I18n.t("plans.late", count: -slack, day: Shared::Dates.day(aim))
        end

        def full_runs = piece.setting("full_runs")
        def school = plan ? plan.school : piece.setting("school")

        # Asked of the row itself: what the search says is no change of the season.
        def searching? = draft? && piece.plans.find(plan.id).searching?

        # A plan that is being made just now, or nil. Once people were told one, it is planned again instead.
        def being_made
          return if published

          @being_made ||= piece.plan_offers.where(kind: "plan").order(:id).last
          @being_made if @being_made&.under_way?(Shared::Clock.now)
        end

        # A better plan than the draft somebody took, found afterwards: Records::PlanOffer, or nil.
        def better
          return unless draft? && director?

          @better ||= piece.plan_offers.where(kind: "better", state: "done", taken_at: nil).order(:id).last
            &.then { |offer| offer if offer.asked["plan"] == plan.id.to_s && offer.fresh? }
        end

        # "Ready four days sooner; 6 people get other times."
        def better_text
          facts = better.facts
          gains = [(facts["days"] if facts["days"].positive?)&.then { |days| I18n.t("plans.better.days", count: days) },
                   (facts["placed"] if facts["placed"].positive?)&.then { |m| I18n.t("plans.better.placed", count: m) },
                   (facts["calls"] if facts["calls"].positive?)&.then { |c| I18n.t("plans.better.calls", count: c) }]
          I18n.t("plans.better.found", gains: gains.compact.first(2).join(", "),
                                       people: I18n.t("plans.better.people", count: facts["people"].size))
        end

        def better_people = Shared::Lists.all(better.facts["people"].filter_map { |id| people[id]&.name }.sort)

        # Of how many homes telling this draft changes the next two days.
        def soon = @soon ||= Reading::SoonChanged.new(plan, Shared::Clock.now).homes.size

        # What there is to do and what there is for it, before a plan is made.
        def needs = kept(:needs) { WhatItNeeds.new(draft) }

        def deadlines = kept(:deadlines) { season.deadlines }
        def due = kept([:due]) { [season.due] }.first

        # Rehearsals in which a recap or the music is wanted and has no time, in words.
        def without = [*unattended, *without_time]

        # Slots in which minors have no adult named, in words.
        def unattended
          days = kept(:unattended) { Reading::Unattended.new(piece.studio, slots_ahead).days }
          return [] if days.empty?

          named = days.first(4).map { |day| Shared::Dates.day(day) }.join(", ")
          [I18n.t("plans.unattended", count: days.size, days: named)]
        end

        def slots_ahead = slots.select { |slot| slot.rehearsal.date >= today }

        def without_time
          plan.result.fetch("without", []).group_by(&:first).map do |kind, pairs|
            I18n.t(
              "plans.without.#{kind}",
              count: pairs.size,
              days: pairs.first(4).map { |_, date| Shared::Dates.day(Date.iso8601(date)) }.join(", ")
            )
          end
        end

        # What would be rusty before it is danced again, in words.
        def fading
          plan.result.fetch("fading", [])
            .map do |name, rusty, later|
              I18n.t(
                "plans.fading",
                name:,
                rusty: Shared::Dates.day(Date.iso8601(rusty)),
                later: Shared::Dates.day(Date.iso8601(later))
              )
            end
        end

        def film_late? = kept(:film_late) { late_film?(season.film_ready, piece.show_date) }
        def late_film?(ready, show) = !ready.nil? && !show.nil? && ready > show

        # The first few conflicts as sentences, and how many there are besides.
        def conflicts_text
          further = conflicts.size - 3
          [*conflicts.first(3), (I18n.t("plans.more_conflicts", count: further) if further.positive?)].compact.join(" ")
        end

        def deadline_names = Records::Piece::DEADLINES
        def cleanings = Records::Piece::CLEANING

        # What happened since that the plan does not know of, in sentences.
        def conflicts = @conflicts ||= plan ? Reading::PlanConflicts.of(plan, piece, now) : []

        # [[rehearsal, its slots of work in order], …] of the next three.
        def next_rehearsals
          kept(:next_rehearsals) do
            open_rehearsals.first(3).map do |rehearsal|
              own = slots.select { |slot| slot.rehearsal_id == rehearsal.id && slot.work? }
              [rehearsal, own.sort_by(&:start_minute)]
            end
          end
        end

        # Names of those who dance a slot of the next rehearsals and are not called to it, since they are away.
        def goes_without(slot) = kept(:goes_without) { find_goes_without }.fetch(slot.id, [])

        # Why an evening is as it is, in sentences.
        def why_so(rehearsal) = kept(:why_so) { find_why_so }.fetch(rehearsal.id)

        # Who has most work and waiting in the rehearsals ahead: [Burden], the longest waits first.
        def burdens = kept(:burdens) { find_burdens }

        def missing
          [
            (:structure if order.links.empty?),
            (:cast if snapshot.cast.empty?),
            (:rehearsals if open_rehearsals.empty?)
          ].compact
        end

        private

        # Kept from one request to the next while nothing about the season changes.
        def kept(key, &) = snapshot.held([:plan, key], stamp, &)

        def stamp
          of = Reading::SeasonVersion
          @stamp ||= plan ? of.of(plan, now) : of.of_studio(piece.studio_id, now)
        end

        def ahead
          @ahead ||=
            open_rehearsals.to_set(&:id).then { |open| slots.select { |slot| open.include?(slot.rehearsal_id) } }
        end

        # [[person, slot], …] of everybody called to what is ahead.
        def called_ahead
          @called_ahead ||=
            Records::SlotPerson.where(studio_id: piece.studio_id, slot_id: ahead.map(&:id)).pluck(:person_id, :slot_id)
        end

        # {rehearsal id => [sentence]} of the next ones.
        def find_why_so
          why = Reading::WhySo.new(plan, draft, people)
          next_rehearsals.to_h { |rehearsal, _| [rehearsal.id, why.of(rehearsal)] }
        end

        # {slot id => [name]}.
        def find_goes_without
          dancers = draft.tasks.to_h { |task| [task.id, task.dancers] }
          called = called_ahead.group_by(&:last).transform_values { |rows| rows.map(&:first) }
          next_rehearsals.flat_map(&:last).to_h do |slot|
            missing = dancers.fetch(slot.task_key, []) - called.fetch(slot.id, [])
            [slot.id, missing.filter_map { |id| people[id]&.name }]
          end
        end

        def find_burdens
          slots = ahead.select(&:work?).index_by(&:id)
          rows = called_ahead.filter_map do |person, id|
            slot = slots[id]
            [person, slot.rehearsal_id, slot.start_minute, slot.minutes] if slot && people[person]
          end
          Core::Planning::Burden.all(rows).map do |each|
            Burden.new(person: people[each.who], calls: each.calls, work: each.work, waiting: each.waiting)
          end
        end
      end
    end
  end
end
