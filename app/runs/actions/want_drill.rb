# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Somebody wants a spot drilled: it is kept, and put into the next rehearsal where it goes.
      class WantDrill
        PLACE = /\A(\d{1,3})\.(\d{1,3})\z/

        # params: {"from" => "3.1", "to" => "3.3" (link and eight), "repetitions", "people" => "12 14", "because"}.
        def initialize(piece, account, params, now)
          @piece = piece
          @account = account
          @params = params
          @now = now
        end

        # Value: a sentence that says where it went.
        def run
          return no("drill_place") unless from && to && from.from <= to.from
          return no("drill_times") unless Records::Drill::REPETITIONS.cover?(repetitions)

          RehearseDrill.new(keep, @now).run
        end

        private

        def no(key) = Shared::Result.no({ base: I18n.t("runs.faults.#{key}") })
        def snapshot = @snapshot ||= Reading::PieceSnapshots.of(@piece)
        def book = @book ||= Book.new(@piece, snapshot)
        def from = @from ||= eight("from")
        def to = @to ||= eight("to")

        def eight(name)
          link, row = PLACE.match(@params[name].to_s)&.captures&.map(&:to_i)
          book.eights.of_place(link, row) if link
        end

        def repetitions
          text = @params["repetitions"].presence or return Core::Running::Drills::REPETITIONS
          Integer(text, 10, exception: false) || 0
        end

        # Of those who dance there; everybody where nobody was named.
        def people
          ids = @params["people"].to_s.split.map(&:to_i)
          ids & book.eights.between(from, to).map(&:link).uniq.flat_map { |link| snapshot.items.in_link(link) }
        end

        # What is wanted already, between the same eights, is not wanted twice.
        def keep
          place = { from_link_id: link_id(from), from_row: from.row, to_link_id: link_id(to), to_row: to.row }
          known = @piece.drills.open.find_by(place)
          return known if known

          named = people
          drill = book.drills.between(from, to, repetitions:, dancers: named.presence)
          Records::Base.transaction do
            made = @piece.drills.create!(
              studio_id: @piece.studio_id, **place, repetitions:, minutes: drill.minutes, by_name: @account.name,
              because: @params["because"].to_s[0, 200], created_at: Shared::Clock.now
            )
            call(made, named)
            made
          end
        end

        def link_id(eight) = book.order.links[eight.link - 1].link.id.to_i

        def call(drill, ids)
          rows = ids.map do |id|
            { studio_id: drill.studio_id, drill_id: drill.id, person_id: id, created_at: Shared::Clock.now }
          end
          Records::DrillPerson.insert_all!(rows) if rows.any?
        end
      end
    end
  end
end
