# frozen_string_literal: true

module App
  module Calls
    module Actions
      # Somebody of the team was called and not there: they are told what was done without them. Once, when an evening
      # is confirmed.
      class TellMissed
        def initialize(rehearsal, slots)
          @rehearsal = rehearsal
          @studio = rehearsal.studio
          @slots = slots
        end

        def run
          absent = @rehearsal.attendances.where(present: false).pluck(:person_id)
          @studio.memberships.where(person_id: absent).includes(:account).each do |membership|
            missed = work_of(membership.person_id)
            tell(membership, missed) if missed.any?
          end
        end

        private

        def work_of(person_id)
          @slots.select { |slot| slot.work? && slot.slot_people.any? { |called| called.person_id == person_id } }
        end

        def tell(membership, missed)
          lines = missed.map { |slot| "#{Formats::Times.clock(slot.start_minute)} #{slot.title}" }
          Shared::Post.new(@studio).tell(
            membership, topic: "calls", template: "missed", day: Shared::Dates.day(@rehearsal.date),
                        lines: lines.join("\n"), link: "#{Settings.app_url}/rehearsals/#{@rehearsal.id}/call-sheet"
          )
        end
      end
    end
  end
end
