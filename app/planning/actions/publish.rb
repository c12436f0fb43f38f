# frozen_string_literal: true

module App
  module Planning
    module Actions
      # Makes a plan the one people are told; the one before is kept as replaced. Teachers whose calls change get a
      # mail. Value: {person => what changes} of everybody affected. Refused
      # while it has somebody, or a room, in two places at once (another piece's plan may have been told since this one
      # was made), where a newer one was made, and where it changes the next two days for other homes than was agreed.
      class Publish
        # homes: of how many homes somebody agreed that their next two days change.
        # among: plans that are told with it in one go.
        def initialize(plan, now, homes: Float::INFINITY, among: [plan])
          @plan = plan
          @piece = plan.piece
          @studio = @piece.studio
          @now = now
          @homes = homes
          @among = among
        end

        def run
          wrong = refused
          return wrong if wrong

          told = @piece.published_plan
          double = @studio.with_lock { double_calls.tap { |found| put if found.empty? } }
          return Shared::Result.no({ base: I18n.t("plans.double", why: double.first(3).join(" ")) }) if double.any?

          affected = Reading::CallDifference.new(@piece, told, @plan, @studio.today(@now)).all
          tell(affected)
          Shared::Result.ok(affected)
        end

        private

        def refused
          return Shared::Result.no({ base: I18n.t("sample.not_told") }) if @piece.sample
          return Shared::Result.no({ base: I18n.t("plans.newer") }) unless @plan.id == @piece.latest_plan.id

          soon = Reading::SoonChanged.new(@plan, @now).homes.size
          Shared::Result.no({ base: I18n.t("plans.soon_refused", count: soon) }, :soon) if soon > @homes
        end

        def double_calls = Reading::TwoPlaces.new(@plan, beside:, now: @studio.local(@now)).sentences

        # What holds beside it: what is told with it, else what people were told.
        def beside = still_told + (@among - [@plan]).reject(&:published?).map(&:id)

        # Ids of other pieces' plans that people were told, and that nothing told now replaces.
        def still_told
          open = @among.reject(&:published?).map(&:piece_id)
          @studio.plans.where(replaced_at: nil).where.not(published_at: nil)
            .where.not(piece_id: [@piece.id, *open]).pluck(:id)
        end

        def put
          keep_past(@piece.published_plan)
          @piece.plans.where(replaced_at: nil)
            .where.not(published_at: nil)
            .where.not(id: @plan.id)
            .update_all(replaced_at: @now)
          @plan.update!(published_at: @plan.published_at || @now, replaced_at: nil, search: {})
          close_way
          untold = @studio.rehearsals.where(id: @plan.slots.select(:rehearsal_id), told_at_host: nil)
          untold.update_all(told_at_host: URI(Settings.app_url).host)
        end

        def close_way
          @studio.update!(settings: @studio.settings.merge("way_closed" => true)) unless @studio.setting("way_closed")
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
        def season = @season ||= Records::Mapping::Seasons.new(@piece, now: @studio.local(@now))

        # Rehearsals that began since the draft was made.
        def began
          then_ahead = Records::Mapping::Seasons.new(@piece, now: @studio.local(@plan.created_at))
          past.reject { |rehearsal| then_ahead.past?(rehearsal) }.to_set(&:id)
        end

        def tell(affected)
          @studio.memberships.where(person_id: affected.keys).includes(:account).find_each do |membership|
            lines = affected[membership.person_id].map(&:text).join("\n")
            Shared::Post.new(@studio).tell(
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
          link = Records::CalendarLink.new(studio: @studio, person:)
          events = Reading::CalendarEvents.new(link, @studio.local(@now))
          Formats::Calendar.render(events.all, name: events.name, zone: events.zone)
        end
      end
    end
  end
end
