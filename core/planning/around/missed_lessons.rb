# frozen_string_literal: true

module Core
  module Planning
    # Catching up of those who missed lessons by the plan itself. What costs nobody a call comes first (the recap,
    # dancing beside a partner, a film); a slot of its own is for whoever misses two lessons or more than four eights:
    # several people in one, on an evening they come to anyway, at most a quarter of an hour a person and evening.
    class MissedLessons
      KINDS = %w[make learn difference join place].freeze
      LESSONS = 2
      EIGHTS = 4
      # Minutes of catching up a person and evening.
      A_DAY = 15
      # Of the teaching, for so few and for more.
      FEW = 3
      SHARES = [0.4, 0.6].freeze
      # So many who could dance beside somebody are tried.
      PARTNERS = 4
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
        @all ||= @frame.jobs.select { |job| job.may.positive? && KINDS.include?(job.kind) }
          .flat_map { |job| caught(job) }
      end

      # Minutes of it for which there was no place, of everybody together.
      def unplaced
        all
        @frame.minutes(@left.values.sum { |owed| owed.values.sum })
      end

      # [[job, minutes], …] of what found no place.
      def left
        owed = @frame.jobs.map { |job| [job, @frame.minutes(@left.fetch(job.at, {}).values.sum)] }
        owed.select { |_, minutes| minutes.positive? }
      end

      private

      def caught(job)
        owed = @left[job.at] = owed(job)
        return [] if owed.empty? || @most.zero?

        first = @table.blocks[job.at].map(&:window).min
        ((first + 1)...@frame.steps.size).flat_map do |window|
          here = owed.keys.select { |bit| due(job, bit, window, owed).positive? && @table.there(window)[bit] == 1 }
          slots(job, window, here, owed)
        end
      end

      # Steps somebody can catch up in a window: of what they missed before it, what is left.
      def due(job, bit, window, owed)
        coming = @table.blocks[job.at].select { |block| block.window >= window && block.people[bit].zero? }
        owed[bit] - (coming.sum(&:steps) * @share).floor
      end

      # {bit => steps of catching up}.
      def owed(job)
        missed = Hash.new { |all, bit| all[bit] = [] }
        @table.blocks[job.at].each do |block|
          Values::Bits.to_a(job.may & ~block.people).each { |bit| missed[bit] << block.steps }
        end
        missed.select! { |_, lessons| lessons.size >= LESSONS || lessons.sum * job.rate > EIGHTS }
        @share = SHARES[missed.size > FEW ? 1 : 0]
        missed.transform_values { |lessons| (lessons.sum * @share).ceil }
      end

      # Together where that goes, else one by one.
      def slots(job, window, here, owed)
        here = here.select { |bit| allowed(bit, window).positive? }
        return [] if here.empty?

        whole = slot(job, window, here, owed)
        return [whole] if whole

        here.filter_map { |bit| slot(job, window, [bit], owed) || beside(job, window, bit, owed) }
      end

      # With somebody who was there and is called too: no minor is alone with one grown-up.
      def beside(job, window, bit, owed)
        partners = Values::Bits.to_a(job.may & @table.there(window) & @frame.dancing).reject { |each| owed.key?(each) }
        partners.first(PARTNERS).lazy.filter_map { |partner| slot(job, window, [bit], owed, [partner]) }.first
      end

      def slot(job, window, here, owed, partners = [])
        people = here + partners
        steps = [here.map { |bit| due(job, bit, window, owed) }.max, *people.map { |bit| allowed(bit, window) }].min
        return unless steps.positive?

        extra = catch_up(job, people, steps)
        return unless placed?(extra, window)

        here.each { |bit| owed[bit] = [owed[bit] - steps, 0].max }
        people.each { |bit| @today[[bit, @frame.dates[window]]] += steps }
        Found.new(@table.blocks[extra.at].first, job)
      end

      def placed?(extra, window)
        @table.admit(extra)
        found = @places.cheapest_in(extra, window, 0, @frame.steps[window])
        return @table.dismiss(extra) unless found

        @table.put(extra, window, found[1], found[2], found[4], found[5])
        true
      end

      def allowed(bit, window) = [@most - @today[[bit, @frame.dates[window]]], 0].max

      def catch_up(job, here, steps)
        set = Values::Bits.of(here)
        leads = job.leads.empty? ? [[job.must & ~job.dancers, 0]] : job.leads
        job.dup.tap do |extra|
          { at: @table.next_at, steps:, must: set, may: 0, people: set, dancers: set, enough: 0, quotas: [], leads:,
            size: here.size, rate: 0.0, fresh: [], after: [], after_window: [], before: [], before_window: [],
            run: false, split: false, kind: "catchup", due: nil }.each { |name, value| extra[name] = value }
        end
      end
    end
  end
end
