# frozen_string_literal: true

module App
  module Room
    module Actions
      # A tick for some people and some of what is learned, as from the grid.
      class Tick < Entry
        def run
          return :slot unless slot
          return :archived if slot.plan.piece.archived?

          after_the_same
          return :duplicate if known?

          result = Learning::Actions::RecordTicks.new(slot.plan.piece, @member, wanted, @rehearsal.date).run
          result.ok? ? :stored : result.errors.values.first
        end

        private

        # "12:s3 14:s3", newcomers by their key.
        def cells
          @cells ||= @sent.text("cells").split.first(Learning::Actions::RecordTicks::MOST).map do |cell|
            person, item = cell.match(/\A(c:[a-z0-9-]+|\d+):(.+)\z/)&.captures
            [newcomer(person), item]
          end
        end

        def newcomer(person)
          return person.to_i unless person&.start_with?("c:")

          studio.people.where(client_id: person.delete_prefix("c:")).pick(:id).to_i
        end

        def wanted
          {
            "cells" => cells.map { |person, item| "#{person}:#{item}" },
            "rung" => @sent.text("rung"),
            "kind" => "danced",
            "client" => @sent.client
          }
        end

        def known?
          keys = cells.map { |person, item| "#{@sent.client}:#{person}:#{item}" }
          studio.ledger_entries.exists?(client_id: keys)
        end
      end
    end
  end
end
