# frozen_string_literal: true

module App
  module Runs
    module Actions
      # A note was given. Given three times, words do not help any more: its place becomes a cleaning slot.
      class GiveNote
        def initialize(note, account, snapshot)
          @note = note
          @account = account
          @snapshot = snapshot
          @piece = note.piece
        end

        # given: true, or false to take the last time back. Answers the Records::Drill it made, if it did.
        def run(given)
          return take_back unless given

          @note.alone(:given) do
            @note.givings.create!(studio_id: @note.studio_id, rehearsal_id: @note.run&.rehearsal_id,
                                  by_name: @account.name, created_at: Shared::Clock.now)
            clean
          end
        end

        private

        def take_back
          last = @note.givings.standing.order(:id).last
          last&.update!(taken_back_at: Shared::Clock.now)
          nil
        end

        def mapping = @mapping ||= Records::Mapping::Runs.new(@piece, @snapshot.work.order)

        def clean
          all = Round.new(@piece, mapping).core.cleaning
          note = all.map(&:first).find { |each| same?(each) } or return
          from, to = around(note.place)
          place = { from_link_id: link_id(from), from_row: from.row, to_link_id: link_id(to), to_row: to.row }
          make(place, from, to) unless @piece.drills.open.exists?(place)
        end

        # From one eight before to one after, as every drill.
        def around(place)
          eight = mapping.eights.of_place(*place)
          [mapping.eights.before(eight) || eight, mapping.eights.after(eight) || eight]
        end

        def link_id(eight) = @snapshot.work.order.links[eight.link - 1].link.id.to_i

        def same?(each) = each.id == @note.id || (each.place == own_place && plain(each.text) == plain(@note.text))
        def own_place = mapping.note_count(@note)&.then { |count| mapping.eights.place_of(count)&.first(2) }
        def plain(text) = text.downcase.gsub(/[^[:alnum:]]+/, " ").strip

        def make(place, from, to)
          person = @note.person_id if @note.about == "person"
          drill = Book.new(@piece, @snapshot).drills.between(from, to, dancers: person && [person])
          made = @piece.drills.create!(
            studio_id: @piece.studio_id, **place, repetitions: drill.repetitions, minutes: [drill.minutes, 5].max,
            because: @note.text[0, 200], by_name: @account.name, created_at: Shared::Clock.now
          )
          call(made, person) if person
          made
        end

        def call(drill, person)
          Records::DrillPerson.create!(studio_id: drill.studio_id, drill:, person_id: person,
                                       created_at: Shared::Clock.now)
        end
      end
    end
  end
end
