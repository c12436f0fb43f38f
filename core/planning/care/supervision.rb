# frozen_string_literal: true

module Core
  module Planning
    # Which adult is in the room of every slot in which minors are: somebody who is in it anyway, else a teacher of the
    # rehearsal who is free then; where nobody is, warming up moves to the side of a room in which an adult works; else
    # a further adult of the piece is called, the same one all along. A planning aid: who may look after minors is for
    # local rules to say.
    #
    #   Supervision.new(slots, adults: ["mel"], minors: ["ada"]).all  # => { 7 => Named }
    class Supervision
      # key: whatever names it; start, finish: minutes of the day; room: an id, or nil at the side; people: ids of all
      # who are in it; teachers: those of them who teach; movable: whether it can be done at the side of another room.
      Slot = Struct.new(:key, :start, :finish, :room, :people, :teachers, :movable, keyword_init: true) do
        def meet?(other) = start < other.finish && other.start < finish
        def within?(other) = other.start <= start && finish <= other.finish
      end
      # who: the adult, nil where there is none; room: where it is done then.
      Named = Struct.new(:who, :room)

      # slots: all of a rehearsal, this plan's and `others` of other pieces; adults, minors: ids; more: ids of adults
      # who can be called for it; there: a callable (who, from, to), whether somebody can be there at all; on_end:
      # minutes
      # somebody works at most until a gap of rest: minutes.
      def initialize(slots, adults:, minors:, others: [], more: [], there: ->(_who, _from, _to) { true },
                     on_end: 1440, rest: 0)
        @on_end = on_end
        @rest = rest
        @more = more & adults
        @slots = slots
        @others = others
        @adults = adults
        @minors = minors
        @there = there
        @looking = []
      end

      # {key => Named} of the slots with minors and no adult in them, in order of time.
      def all
        alone = @slots.select { |slot| slot.people.intersect?(@minors) && !slot.people.intersect?(@adults) }
        alone.sort_by { |slot| [slot.start, slot.finish] }.to_h { |slot| [slot.key, name(slot)] }
      end

      private

      def name(slot)
        who = free(slot)
        hosted = beside(slot) unless who
        return hosted if hosted

        who ||= further(slot)
        return Named.new(nil, slot.room) unless who

        @looking << [who, slot]
        Named.new(who, slot.room)
      end

      # A teacher of the rehearsal with nothing else to do then; whoever works next to it in time first.
      def free(slot)
        teachers = @slots.flat_map(&:teachers).uniq & @adults
        able(teachers, slot).min_by { |who| [away_from(who, slot), who.to_s] }
      end

      # Somebody else of the piece; whoever is called already comes first.
      def further(slot)
        able(@more, slot).min_by { |who| [@looking.any? { |adult, _| adult == who } ? 0 : 1, who.to_s] }
      end

      def able(people, slot)
        people.select { |who| idle?(who, slot) && rested?(who, slot) && @there.call(who, slot.start, slot.finish) }
      end

      # Whether a slot more leaves somebody within what is worked on end.
      def rested?(who, slot)
        own = [*@slots, *@others].select { |other| other.people.include?(who) }
        own += @looking.filter_map { |adult, other| other if adult == who }
        mine = stretches([slot, *own]).find { |first, last| first <= slot.start && slot.finish <= last }
        mine.last - mine.first <= @on_end
      end

      # [[first minute, last minute], …] of work without a rest between.
      def stretches(slots)
        times = slots.map { |each| [each.start, each.finish] }.sort
        times.each_with_object([]) do |(start, finish), found|
          next found << [start, finish] if found.empty? || start - found.last.last >= @rest

          found.last[1] = [found.last[1], finish].max
        end
      end

      def idle?(who, slot)
        busy = [*@slots, *@others].any? { |other| other.people.include?(who) && other.meet?(slot) }
        !busy && @looking.none? { |adult, other| adult == who && other.meet?(slot) && other.room != slot.room }
      end

      # Minutes between a slot and the nearest work of somebody.
      def away_from(who, slot)
        own = @slots.select { |other| other.teachers.include?(who) }
        own.map { |other| [other.start - slot.finish, slot.start - other.finish].max }.min
      end

      # At the side of a room in which an adult is all the while.
      def beside(slot)
        return unless slot.movable

        host = @slots.find { |other| other.room && slot.within?(other) && other.people.intersect?(@adults) }
        return unless host

        who = (host.people & @adults).min_by { |each| [host.teachers.include?(each) ? 0 : 1, each.to_s] }
        Named.new(who, host.room)
      end
    end
  end
end
