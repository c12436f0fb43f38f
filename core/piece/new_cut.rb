# frozen_string_literal: true

module Core
  module Piece
    # A new recording under the same links: what shifts, what shrinks or loses counts, which joins are stale, who must
    # be told. Compares two running orders; nothing is changed.
    #
    #   NewCut.new(work, Music::Track.new(tempo: [[1, 126]])).moved.first.by  # => -1.4 (seconds earlier)
    class NewCut
      # by: seconds later in the music; stretch: seconds longer; lost: counts past the end of the new recording.
      Shift = Struct.new(:placed, :from, :to, :by, :stretch, :lost, keyword_init: true) do
        # Whether the new music would be noticed here: NOTICED seconds apart or longer, or cut away.
        def moved? = by.abs >= NewCut::NOTICED || stretch.abs >= NewCut::NOTICED || lost.positive?
      end
      Part = Struct.new(:name, :before, :after, keyword_init: true)
      # Seconds below which nobody notices.
      NOTICED = 0.05
      # Share by which a tempo must differ at a seam for its join to be danced anew.
      TEMPO = 0.02

      def initialize(work, track)
        @work = work
        @track = track
        @old = work.order
        @new = work.with(track:).order
      end

      # Every link: [Shift].
      def shifts = @shifts ||= @old.links.zip(@new.links).map { |before, after| shift(before, after) }

      # [Shift] of the links for which it would be noticed.
      def moved = shifts.select(&:moved?)

      # Parts of the music's form that are longer, shorter, new (before nil) or gone (after nil), by name and order.
      def parts
        [@work.track, @track].map { |track| numbered(track.form) }.then do |before, after|
          (before.keys | after.keys)
            .map { |key| Part.new(name: key.first, before: before[key], after: after[key]) }
            .reject { |part| part.before == part.after }
        end
      end

      # Indexes of joins to dance anew: the tempo over the seam differs, or one side lost counts.
      def stale_joins
        @old.links.each_cons(2).filter_map do |leaving, entering|
          if tempo_changed?(entering) || [leaving, entering].any? { |placed| shifts[placed.index - 1].lost.positive? }
            leaving.index
          end
        end
      end

      # Choreographers of what moved or must be danced anew.
      def told
        indexes = moved.map { |shift| shift.placed.index } | stale_joins.flat_map { |index| [index, index + 1] }
        indexes.filter_map { |index| @old.links[index - 1].section.choreographer }.uniq
      end

      private

      def shift(before, after)
        Shift.new(
          placed: before,
          from: before.start_seconds,
          to: after.start_seconds,
          by: after.start_seconds - before.start_seconds,
          stretch: after.seconds - before.seconds,
          lost: lost(after)
        )
      end

      def lost(placed)
        ending = @track.length_seconds or return 0
        (1..placed.counts).count do |count|
          @track.map.seconds_at(placed.start_beat + (count * placed.section.beats_per_count)) > ending + NOTICED
        end
      end

      def tempo_changed?(entering)
        old, new = [@work.track, @track].map { |track| track.map.bpm_at(entering.start_beat) }
        (new - old).abs > TEMPO * old
      end

      def numbered(form)
        seen = Hash.new(0)
        form.to_h { |name, counts| [[name, seen[name] += 1], counts] }
      end
    end
  end
end
