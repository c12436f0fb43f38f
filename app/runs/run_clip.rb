# frozen_string_literal: true

module App
  module Runs
    # The clip of a run as it lies on the counts.
    class RunClip
      # page: of the piece; row: Records::Run.
      def initialize(page, row)
        @page = page
        @row = row
      end

      # Records::Upload, or nil where there is none that may be seen.
      def clip
        return @clip if defined?(@clip)

        found = @page.piece.uploads.clips.where(kind: "clip", run_id: @row.id).last
        @clip = found && ClipPolicy.new(@page.piece.studio).seen?(found) ? found : nil
      end

      # The second of the clip at a count of the piece; nil where it is not laid on it.
      def second(count)
        return unless clip && count

        clock.clip_second(@page.book.eights.second_of(count))&.round(2)
      end

      def clock
        @clock ||= Core::Running::ClipClock.new(marks, speed: @row.speed, length: clip.seconds&.to_f)
      end

      private

      # Marks name a place in the piece: a new cut of the music moves them with it.
      def marks
        clip.marks.filter_map do |mark|
          place = Place.new(mark["link_id"], mark["row"], mark["at"])
          count = @page.book.count(place) or next
          Core::Running::ClipClock::Mark.new(clip: mark["second"].to_f, music: @page.book.eights.second_of(count))
        end
      end

      Place = Struct.new(:link_id, :row, :at)
      private_constant :Place
    end
  end
end
