# frozen_string_literal: true

module Core
  module Planning
    # Catching up of those who missed lessons by the plan itself. What costs nobody a call comes first (the recap, dancing
    # beside a partner, a film); a slot of its own is for whoever misses two lessons or more than four eights: several
    # people in one, on an evening they come to anyway, at most a quarter of an hour a person and evening.
    class MissedLessons
      KINDS = %w[make learn difference join place].freeze
      LESSONS = 2
      EIGHTS = 4
      # Minutes of catching up a person and evening.
      A_DAY = 15
      # Of the teaching, for so few and for more.
      FEW = 3
      SHARES = [0.4, 0.6].freeze
      # block: where it lies on the table; of: the job that is caught up.
      Found = Struct.new(:block, :of)

      def initialize(table)
        @table = table
        @frame = table.frame
        @places = Places.new(table)
        @most = A_DAY / @frame.minutes(1)
        @today = Hash.new(0)
        @left = {}
      end

      # [Found], put on the table.
      def all
        @all ||= @frame.jobs.select { |job| job.may.positive? && KINDS.include?(job.kind) }.flat_map { |job| caught(job) }
      end

      # Minutes of it for which there was no place, of everybody together.
      def unplaced
        all
        @frame.minutes(@left.values.sum { |owed| owed.values.sum })
      end

      private

      def caught(job)
        owed = @left[job.at] = owed(job)
        return [] if owed.empty? || @most.zero?

        last = @table.blocks[job.at].map(&:window).max
        ((last + 1)...@frame.steps.size).flat_map do |window|
          here = owed.select { |bit, steps| steps.positive? && @table.there(window)[bit] == 1 }.keys
          slots(job, window, here, owed)
        end
      end

      # {bit => steps of catching up}.
      def owed(job)
        missed = Hash.new { |all, bit| all[bit] = [] }
        @table.blocks[job.at].each do |block|
          Values::Bits.to_a(job.may & ~block.people).each { |bit| missed[bit] << block.steps }
        end
        missed.select! { |_, lessons| lessons.size >= LESSONS || lessons.sum * job.rate > EIGHTS }
        share = SHARES[missed.size > FEW ? 1 : 0]
        missed.transform_values { |lessons| (lessons.sum * share).ceil }
      end

      # Together where that goes, else one by one.
      def slots(job, window, here, owed)
        here = here.select { |bit| allowed(bit, window).positive? }
        return [] if here.empty?

        whole = slot(job, window, here, owed)
        return [whole].compact if whole || here.size == 1

        here.filter_map { |bit| slot(job, window, [bit], owed) }
      end

      def slot(job, window, here, owed)
        steps = here.map { |bit| [owed[bit], allowed(bit, window)].min }.max
        steps = [steps, *here.map { |bit| allowed(bit, window) }].min
        extra = catch_up(job, here, steps)
        @table.admit(extra)
        found = @places.cheapest_in(extra, window, 0, @frame.steps[window])
        return @table.dismiss(extra) unless found

        @table.put(extra, window, found[1], found[2], found[4], found[5])
        here.each { |bit| note(bit, window, owed, steps) }
        Found.new(@table.blocks[extra.at].first, job)
      end

      def note(bit, window, owed, steps)
        owed[bit] = [owed[bit] - steps, 0].max
        @today[[bit, @frame.dates[window]]] += steps
      end

      def allowed(bit, window) = [@most - @today[[bit, @frame.dates[window]]], 0].max

      def catch_up(job, here, steps)
        set = Values::Bits.of(here)
        leads = job.leads.empty? ? [[job.must & ~job.dancers, 0]] : job.leads
        job.dup.tap do |extra|
          { at: @table.blocks.size, steps:, must: set, may: 0, people: set, dancers: set, enough: 0, quotas: [], leads:,
            size: here.size, rate: 0.0, fresh: [], after: [], after_window: [], before: [], before_window: [],
            run: false, split: false, kind: "catchup", due: nil }.each { |name, value| extra[name] = value }
        end
      end
    end
  end
end
