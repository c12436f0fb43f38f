# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Makes a plan the one people are told; the one before is kept as replaced. Teachers whose calls change get a
      # mail. Value: {person => what changes} of everybody affected. Refused while it has somebody, or a room, in two
      # pieces at once
      # (another piece's plan may have been told since this one was made), or where a newer one was made.
      class Publish
        def initialize(plan, now)
          @plan = plan
          @piece = plan.piece
          @now = now
        end

        def run
          return Shared::Result.no({ base: I18n.t("sample.not_told") }) if @piece.sample
          return Shared::Result.no({ base: I18n.t("plans.newer") }) unless @plan.id == @piece.latest_plan.id

          told = @piece.published_plan
          double = @piece.studio.with_lock { double_calls.tap { |found| put if found.empty? } }
          return Shared::Result.no({ base: I18n.t("plans.double", why: double.first(3).join(" ")) }) if double.any?

          affected = Reading::CallDifference.new(@piece, told, @plan, @piece.studio.today(@now)).all
          tell(affected)
          Shared::Result.ok(affected)
        end

        private

        def double_calls
          Reading::PlanConflicts.new(
            @plan,
            Reading::PlanDraft.new(@piece, @piece.studio.local(@now)),
            Reading::PieceSnapshots.of(@piece)
          ).double
        end

        def put
          keep_past(@piece.published_plan)
          @piece.plans.where(replaced_at: nil)
            .where.not(published_at: nil)
            .where.not(id: @plan.id)
            .update_all(replaced_at: @now)
          @plan.update!(published_at: @plan.published_at || @now, replaced_at: nil, search: {})
          studio = @piece.studio
          studio.update!(settings: studio.settings.merge("way_closed" => true)) unless studio.setting("way_closed")
          untold = @piece.studio.rehearsals.where(id: @plan.slots.select(:rehearsal_id), told_at_host: nil)
          untold.update_all(told_at_host: URI(Settings.app_url).host)
        end

        # What happened since the draft was made stays as it happened: the told plan's slots of these rehearsals, not
        # the draft's.
        def keep_past(told)
          return if told.nil? || told.id == @plan.id

          held = told.slots.includes(:slot_people, :rehearsal).select { |slot| past.include?(slot.rehearsal) }
          news = held.select { |slot| slot.updated_at > @plan.created_at }.to_set(&:rehearsal_id) | began
          CopySlots.remove(@plan, @plan.slots.where(rehearsal_id: news))
          CopySlots.into(@plan, held.select { |slot| news.include?(slot.rehearsal_id) })
        end

        def past = @past ||= season.rehearsals.select { |rehearsal| season.past?(rehearsal) }
        def season = @season ||= Records::Mapping::Seasons.new(@piece, now: @piece.studio.local(@now))

        # Rehearsals that began since the draft was made.
        def began
          then_ahead = Records::Mapping::Seasons.new(@piece, now: @piece.studio.local(@plan.created_at))
          past.reject { |rehearsal| then_ahead.past?(rehearsal) }.to_set(&:id)
        end

        def tell(affected)
          @piece.studio.memberships.where(person_id: affected.keys).includes(:account).find_each do |membership|
            lines = affected[membership.person_id].map(&:text).join("\n")
            Shared::Post.new(@piece.studio).tell(
              membership,
              topic: "calls",
              template: "plan_told",
              calendar: calendar(membership.person),
              piece: @piece.title,
              lines:,
              link: "#{Settings.app_url}/pieces/#{@piece.id}/calls"
            )
          end
        end

        # All calls of somebody, under the keys that their calendar's address has.
        def calendar(person)
          link = Records::CalendarLink.new(studio: @piece.studio, person:)
          events = Reading::CalendarEvents.new(link, @piece.studio.local(@now))
          Formats::Calendar.render(events.all, name: events.name, zone: events.zone)
        end
      end
    end
  end
end
