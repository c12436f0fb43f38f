# frozen_string_literal: true

module App
  module Home
    module Pages
      # A choreographer's own: sections, what waits to be signed off, calls.
      class OwnWork
        CALLS = 5
        # When somebody teaches: a rehearsal and the slots of it.
        Call = Struct.new(:rehearsal, :slots)

        # home: Show.
        def initialize(home)
          @home = home
          @person_id = home.member.person_id
        end

        # [OwnSection] of all running pieces.
        def sections = @sections ||= @home.pieces.flat_map { |card| of(card) }

        # [[piece's title, how many items, path], …] of what waits for this member's signature.
        def waiting
          @home.pieces.filter_map do |card|
            policy = Learning::SignOffPolicy.new(@home.member, card.piece, card.order, card.today)
            count = waits(card).count { |each| policy.item?(each.item) }
            [card.title, count, card.path("/who-has-it/sign-offs")] if count.positive?
          end
        end

        # [Call] of the next rehearsals that call this person to teach.
        def calls
          @calls ||= @home.season.still_ahead(@home.now).filter_map do |rehearsal|
            slots = own_slots.fetch(rehearsal.id, [])
            Call.new(rehearsal, slots) if slots.any?
          end.first(CALLS)
        end

        private

        def of(card)
          reached = Reading::TaughtSoFar.new(card.piece).to_h
          card.work.sections.select { |section| section.teachers.include?(@person_id) }
            .map { |section| OwnSection.new(card, section, reached: reached.fetch(section.id, 0)) }
        end

        def waits(card)
          card.snapshot.memo(:waiting) { Core::Learning::SignOffs.new(card.items, card.progress).all }
        end

        def own_slots
          @own_slots ||= begin
            slots = Reading::StandingSlots.standing(@home.studio, @home.season.ahead.first(12))
            mine = slots.joins(:slot_people).where(slot_people: { person_id: @person_id, role: "teacher" })
            mine.select(&:work?).uniq.group_by(&:rehearsal_id)
          end
        end
      end
    end
  end
end
