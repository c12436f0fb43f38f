# frozen_string_literal: true

module Core
  module Running
    # Where a trouble spot starts: in the join, in the section, or "cannot tell". What goes wrong right after something
    # else did, to people who may be the same, starts where that started. What starts well inside a section is the
    # section's. At a seam the same material is looked for where it was danced without that join: in its other places,
    # and in runs that began there. Went it wrong there too, it is the section's; went it well twice, the join's; was it
    # danced nowhere else, only a kind that speaks of the way from one to the other tells.
    class Blame
      # Counts on either side of a seam that hang on the join (its rules look at the same two), and counts after it
      # within which it may still be to blame.
      EDGE = 2
      REACH = 8
      # Counts after a trouble within which the next one of the same people follows from it.
      NEAR = 8
      # So often it must have gone well without the join to acquit the section: once may be luck.
      ENOUGH = 2
      # Kinds that speak of the way into something, and of the way out of it.
      INTO = %w[late forgot spacing collision].freeze
      OUT_OF = %w[spacing collision].freeze

      # verdict: :join, :section or :unclear; join: index of the link it leaves, where one is concerned; why: a word for
      # what tells (:inside, :began_here, :elsewhere_too, :elsewhere_well, :kind, :both, :once, :nothing); times: how
      # often it was danced elsewhere; from: the count of the piece at which it started.
      Verdict = Struct.new(:verdict, :join, :why, :times, :from, keyword_init: true)

      # eights: Eights; runs: [Run] of the piece.
      def initialize(eights, runs)
        @eights = eights
        @runs = runs
        @last = eights.all.last&.link
      end

      # The Verdict on a trouble of a run.
      def of(run, trouble)
        first = origin(run, trouble)
        eight = @eights.at(first.count) or return verdict(:unclear, :nothing, first)
        judge(run, first, eight)
      end

      # The trouble from which another one follows; itself where it follows from none.
      def origin(run, trouble)
        before = run.troubles.select { |other| leads?(run, other, trouble) }.max_by(&:count)
        before ? origin(run, before) : trouble
      end

      private

      def leads?(run, other, trouble)
        other.count < trouble.count && trouble.count - other.count <= NEAR && other.same_people?(trouble) &&
          run.danced?(other.count.floor, trouble.count.floor)
      end

      def judge(run, trouble, eight)
        span = @eights.span(eight.link)
        into = trouble.count - span.begin
        return entering(run, trouble, eight, into) if into < REACH && eight.link > 1
        return leaving(run, trouble, eight) if span.end + 1 - trouble.count <= EDGE && eight.link < @last

        verdict(:section, :inside, trouble)
      end

      def entering(run, trouble, eight, into)
        join = eight.link - 1
        return verdict(:section, :began_here, trouble) unless through?(run, eight, trouble)

        elsewhere = Elsewhere.new(@eights, @runs).entering(eight.link)
        weigh(trouble, join, elsewhere, INTO, at_the_seam: into < EDGE)
      end

      def leaving(run, trouble, eight)
        return verdict(:section, :inside, trouble) unless run.danced?(trouble.count.floor, trouble.count.floor)

        elsewhere = Elsewhere.new(@eights, @runs).leaving(eight.link)
        weigh(trouble, eight.link, elsewhere, OUT_OF, at_the_seam: true)
      end

      # Whether the link was come to from the one before.
      def through?(run, eight, trouble)
        start = @eights.span(eight.link).begin
        run.holding(trouble.count).any? { |from, _| from < start }
      end

      def weigh(trouble, join, elsewhere, telling, at_the_seam:)
        well, wrong = elsewhere
        return verdict(:unclear, :both, trouble, join:, times: well + wrong) if well.positive? && wrong.positive?
        return verdict(:section, :elsewhere_too, trouble, times: wrong) if wrong.positive?
        return verdict(:join, :elsewhere_well, trouble, join:, times: well) if well >= ENOUGH
        return verdict(:join, :kind, trouble, join:) if at_the_seam && telling.include?(trouble.kind)

        verdict(:unclear, well.zero? ? :nothing : :once, trouble, join:, times: well)
      end

      def verdict(verdict, why, trouble, join: nil, times: 0)
        Verdict.new(verdict:, join:, why:, times:, from: trouble.count)
      end
    end
  end
end
