# frozen_string_literal: true

module Core
  module Running
    # Trouble per eight and per join, across runs.
    class Spots
      # eight: Eights::Eight; runs: {run id => [Trouble]} that had trouble there; danced: how many runs danced it;
      # verdict: Blame::Verdict where all agree, else one that cannot tell.
      Spot = Struct.new(:eight, :runs, :danced, :verdict, keyword_init: true) do
        def troubles = runs.values.flatten(1)
        def kinds = troubles.filter_map(&:kind).tally.sort_by { |kind, count| [-count, kind] }.map(&:first)
      end
      # Of a join: the troubles that lie within two counts of its seam or start in it, in how many runs, of how many
      # that danced through it.
      Seam = Struct.new(:join, :troubles, :runs, :danced, keyword_init: true)

      # eights: Eights; runs: [Run], oldest first.
      def initialize(eights, runs)
        @eights = eights
        @runs = runs
        @blame = Blame.new(eights, runs)
      end

      # [Spot] of eights that had trouble, in running order.
      def all
        @all ||= @eights.all.filter_map { |eight| spot(eight) }
      end

      # [Seam] of joins that had trouble, in running order.
      def seams
        @seams ||= @eights.all.map(&:link).uniq.each_cons(2).filter_map { |leaving, _| seam(leaving) }
      end

      # {run id => {[link, row] => how many}}: what is drawn on the chain, run over run.
      def by_run
        @runs.to_h do |run|
          places = run.troubles.filter_map { |trouble| @eights.at(trouble.count)&.place }
          [run.id, places.tally]
        end
      end

      # The Blame::Verdict on one trouble of a run.
      def verdict(run, trouble) = (@verdicts ||= {})[[run.id, trouble]] ||= @blame.of(run, trouble)

      private

      def spot(eight)
        held = @runs.to_h { |run| [run.id, run.troubles_in(eight.from, eight.to)] }.reject { |_, own| own.empty? }
        return if held.empty?

        danced = @runs.count { |run| run.danced?(eight.from, eight.from) }
        Spot.new(eight:, runs: held, danced: [danced, held.size].max, verdict: agreed(held))
      end

      def agreed(held)
        runs = @runs.to_h { |run| [run.id, run] }
        all = held.flat_map { |id, own| own.map { |trouble| verdict(runs[id], trouble) } }
        return all.last if all.map { |each| [each.verdict, each.join] }.uniq.one?

        first = all.map(&:from).min
        Blame::Verdict.new(verdict: :unclear, join: all.filter_map(&:join).first, why: :differs, times: 0, from: first)
      end

      def seam(leaving)
        edge = @eights.span(leaving).end
        own = @runs.to_h { |run| [run.id, run.troubles.select { |trouble| at_seam?(run, trouble, leaving, edge) }] }
        own = own.reject { |_, troubles| troubles.empty? }
        return if own.empty?

        danced = @runs.count { |run| run.danced?(edge, edge + 1) }
        Seam.new(join: leaving, troubles: own.values.flatten(1), runs: own.size, danced: [danced, own.size].max)
      end

      def at_seam?(run, trouble, leaving, edge)
        near = trouble.count > edge + 1 - Blame::EDGE && trouble.count < edge + 1 + Blame::EDGE
        return run.danced?(edge, edge + 1) if near

        verdict(run, trouble).then { |each| each.verdict == :join && each.join == leaving }
      end
    end
  end
end
