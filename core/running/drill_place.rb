# frozen_string_literal: true

module Core
  module Running
    # Where a drill goes in a rehearsal as it stands: into minutes that are free between two slots, while everybody who
    # is needed is there anyway and in nothing else; else into a slot at which they all are and that dances the same
    # links, or that is long enough to give it half of its minutes at the most. Nobody's times change.
    class DrillPlace
      # start, finish: minutes of the day; room: an id or nil; people: ids; links: indexes danced, or []; work: whether
      # something is worked on.
      Slot = Struct.new(:id, :start, :finish, :room, :people, :links, :work, keyword_init: true) do
        def minutes = finish - start
      end
      # kind: :free (a slot of its own) or :inside (at the beginning of a slot); slot: the Slot; start: minute; room.
      Found = Struct.new(:kind, :slot, :start, :room, keyword_init: true)
      # Share of a slot that a drill may take, and minutes that slots begin on.
      SHARE = 0.5
      GRID = 5

      # slots: [Slot] of one rehearsal, whatever stands in it, of all pieces.
      def initialize(slots)
        @slots = slots.sort_by { |slot| [slot.start, slot.id.to_s] }
      end

      # Found, or nil where nothing goes. people: ids of everybody needed; minutes; links: that it is danced in.
      def find(people:, minutes:, links:)
        return if people.empty?

        free(people, minutes) || inside(people, minutes, links)
      end

      # Of these people, those whom nothing calls to this rehearsal.
      def absent(people) = people - @slots.flat_map(&:people)

      private

      def free(people, minutes)
        calls = people.map { |person| own(person) }
        return if calls.any?(&:empty?)

        from = calls.map { |slots| slots.map(&:start).min }.max
        to = calls.map { |slots| slots.map(&:finish).max }.min
        start = starts(from).find do |minute|
          finish = minute + minutes
          finish <= to && idle?(people, minute, finish) && room_at(minute, minutes)
        end
        start && Found.new(kind: :free, start:, room: room_at(start, minutes))
      end

      # After the first of the work, so that everybody is warm.
      def starts(from)
        first = @slots.select(&:work).map(&:start).min or return []
        @slots.map { |slot| [slot.finish, from, first].max }.map { |minute| (minute / GRID.to_f).ceil * GRID }.uniq.sort
      end

      def idle?(people, start, finish)
        @slots.none? { |slot| slot.start < finish && start < slot.finish && slot.people.intersect?(people) }
      end

      # A room of this rehearsal in which nothing is then.
      def room_at(start, minutes)
        rooms = @slots.filter_map(&:room).uniq
        taken = @slots.select { |slot| slot.start < start + minutes && start < slot.finish }
        return rooms.first if taken.empty?

        (rooms - taken.filter_map(&:room)).first if taken.all?(&:room)
      end

      def inside(people, minutes, links)
        wide = @slots.select { |slot| slot.work && (people - slot.people).empty? && minutes <= slot.minutes * SHARE }
        slot = wide.find { |each| each.links.intersect?(links) } || wide.max_by(&:minutes)
        slot && Found.new(kind: :inside, slot:, start: slot.start, room: slot.room)
      end

      def own(person) = @slots.select { |slot| slot.people.include?(person) }
    end
  end
end
