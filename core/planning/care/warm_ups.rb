# frozen_string_literal: true

module Core
  module Planning
    # Who warms up where and when around the slots of one rehearsal: all who begin with the first of them before it,
    # whoever was idle for long just before going on, all who are there to the end after it.
    class WarmUps
      # Minutes after the first slot within which somebody still warms up with the others.
      SOON = 15

      # start, finish: minutes of the day; dancers: ids; room: an id or nil; work: whether it is danced full out.
      Block = Struct.new(:start, :finish, :dancers, :room, :work, keyword_init: true)
      # kind: "warm_up", "re_warm" or "cool_down"; room: nil where none is free: it is done at the side.
      WarmUp = Struct.new(:kind, :start, :minutes, :dancers, :room, keyword_init: true)

      # own: [Block] of the plan in this rehearsal; others: [Block] of other pieces in it; rooms: [[id, capacity], …];
      # care: Care; warm_up: minutes.
      def initialize(own, others:, rooms:, care:, warm_up:)
        @own = own
        @taken = own + others
        @rooms = rooms.sort_by(&:last)
        @care = care
        @warm_up = warm_up
      end

      # [WarmUp] in order of time; empty where there is nothing to warm up for.
      def all = @own.empty? ? [] : [*before, *between, *after]

      private

      def dancers(blocks) = blocks.flat_map(&:dancers).uniq

      def before
        first = @own.map(&:start).min
        with = @own.select { |block| block.start < first + SOON }
        in_a_room("warm_up", first - @warm_up, @warm_up, dancers(with))
      end

      def after
        last = @own.map(&:finish).max
        in_a_room("cool_down", last, @care.cool_down, dancers(@own.select { |block| block.finish == last }))
      end

      # In a room that is free, else in the one that holds them best.
      def in_a_room(kind, start, minutes, people)
        return [] unless minutes.positive?

        [WarmUp.new(kind:, start:, minutes:, dancers: people, room: free(start, minutes, people) || large(people))]
      end

      def between
        return [] unless @care.re_warm.positive?

        again = ReWarms.new(idle: @care.idle, minutes: @care.re_warm).of(spans)
        again.map do |start, people|
          room = free(start, @care.re_warm, people)
          WarmUp.new(kind: "re_warm", start:, minutes: @care.re_warm, dancers: people, room:)
        end
      end

      # {dancer => [[from, to], …] at work in this rehearsal}.
      def spans
        work = @taken.select(&:work)
        dancers(@own).to_h do |who|
          [who, work.select { |block| block.dancers.include?(who) }.map { |block| [block.start, block.finish] }]
        end
      end

      # The smallest room that holds them and that nobody is in then, or nil.
      def free(start, minutes, people)
        full = @taken.select { |block| block.start < start + minutes && start < block.finish }.map(&:room)
        @rooms.find { |room, capacity| !full.include?(room) && capacity >= people.size }&.first
      end

      # The smallest room that holds them all, else the largest.
      def large(people) = (@rooms.find { |_, capacity| capacity >= people.size } || @rooms.last)&.first
    end
  end
end
