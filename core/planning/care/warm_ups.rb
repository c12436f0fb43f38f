# frozen_string_literal: true

module Core
  module Planning
    # Who warms up where and when around the slots of one rehearsal, whatever piece they work on: each before their own
    # first work (together with those who begin a little earlier), whoever was idle for long just before going on, and
    # after their own last. Whoever comes straight from another piece's work is warm; whoever goes on to it at once
    # cools down there.
    class WarmUps
      # Minutes after somebody's first slot within which others still warm up with them.
      SOON = 15

      # start, finish: minutes of the day; dancers: ids; room: an id or nil; work: whether it is danced full out.
      Block = Struct.new(:start, :finish, :dancers, :room, :work, keyword_init: true)
      # kind: "warm_up", "re_warm" or "cool_down"; room: nil where none is free: it is done at the side.
      WarmUp = Struct.new(:kind, :start, :minutes, :dancers, :room, keyword_init: true)

      # own: [Block] of the plan in this rehearsal; others: [Block] of other pieces in it; rooms: [[id, capacity], …];
      # care: Care; warm_up: minutes.
      def initialize(own, others:, rooms:, care:, warm_up:)
        @own = own
        @others = others
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
        firsts = own { |blocks| blocks.map(&:start).min }.reject { |who, start| warm?(who, start) }
        together(firsts.group_by(&:last).sort).flat_map do |start, people|
          in_a_room("warm_up", start - @warm_up, @warm_up, people)
        end
      end

      # [[start, dancers], …]: those who begin soon after others warm up with them. groups: [[start, pairs], …].
      def together(groups)
        groups.each_with_object([]) do |(start, pairs), found|
          people = pairs.map(&:first)
          found.last && start < found.last.first + SOON ? found.last[1] += people : found << [start, people]
        end
      end

      def after
        lasts = own { |blocks| blocks.map(&:finish).max }.reject { |who, finish| goes_on?(who, finish) }
        lasts.group_by(&:last).sort.flat_map do |finish, pairs|
          in_a_room("cool_down", finish, @care.cool_down, pairs.map(&:first))
        end
      end

      # {dancer => what the block makes of their blocks of this plan}.
      def own = dancers(@own).to_h { |who| [who, yield(@own.select { |block| block.dancers.include?(who) })] }

      # Whether somebody is at another piece's work, or warms up or cools down for it, when they would do so here:
      # nobody is in two places, and they are warm, or go on.
      def warm?(who, start) = elsewhere?(who, start - @warm_up, start)
      def goes_on?(who, finish) = elsewhere?(who, finish, finish + @care.cool_down)

      def elsewhere?(who, from, to)
        @others.any? { |block| block.start < to && block.finish > from && block.dancers.include?(who) }
      end

      # In a room that is free, else at the side.
      def in_a_room(kind, start, minutes, people)
        return [] unless minutes.positive?

        [WarmUp.new(kind:, start:, minutes:, dancers: people, room: free(start, minutes, people))]
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
    end
  end
end
