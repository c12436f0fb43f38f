# frozen_string_literal: true

module App
  module Files
    module Tables
      # The plan people were told, or the newest where none was told: a row a slot.
      class Plan
        COLUMNS = %w[date start end room what kind with dancers who].freeze

        def initialize(piece, _today)
          @piece = piece
          @names = Shared::CallNames.new(piece)
        end

        def name = "plan"

        def tables
          columns = COLUMNS.map { |column| I18n.t("files.columns.#{column}") }
          [Formats::Table.new(name: I18n.t("files.tables.plan"), columns:, rows: slots.map { |slot| row(slot) })]
        end

        private

        def plan = @piece.published_plan || @piece.plans.order(:number).last

        def slots
          return [] unless plan

          plan.slots.includes(:room, :rehearsal, slot_people: :person)
            .sort_by { |slot| [slot.rehearsal.date, slot.start_minute, slot.id] }
        end

        def row(slot)
          dancers, others = slot.slot_people.partition { |called| called.role == "dancer" }
          [
            slot.rehearsal.date, clock(slot.start_minute), clock(slot.end_minute), slot.room&.name, slot.title,
            I18n.t("files.kinds.#{slot.kind}"), others.map do |called|
                                                  called.person.name
                                                end.sort.join(", "), dancers.size,
            @names.of(dancers.map(&:person_id))
          ]
        end

        def clock(minutes) = Formats::Times.clock(minutes)
      end
    end
  end
end
