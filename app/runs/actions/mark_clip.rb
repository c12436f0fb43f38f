# frozen_string_literal: true

module App
  module Runs
    module Actions
      # Lays a clip on the counts: at this second of it, this count is danced. A second mark lays what comes after a
      # stop; one at the same place takes the place of the one before.
      class MarkClip
        NEAR = 1.0

        # params: {"link" => index, "eight", "count", "second"}.
        def initialize(clip, params)
          @clip = clip
          @piece = clip.piece
          @params = params
        end

        # Value: the second.
        def run
          return no("second") unless second && second >= 0 && (@clip.seconds.nil? || second <= @clip.seconds)
          return no("place") unless link && eight.between?(1, 200) && count.between?(1, Core::Piece::Row::MAX)

          mark = { "link_id" => link.id, "row" => eight, "at" => (count - 1) * Records::Note::TWELFTHS,
                   "second" => second.round(3) }
          others = @clip.marks.reject { |each| same?(each, mark) }
          @clip.update!(marks: (others + [mark]).sort_by { |each| each["second"] }.last(40))
          Shared::Result.ok(second.round(2))
        end

        private

        def no(key) = Shared::Result.no({ key.to_sym => I18n.t("clips.faults.mark_#{key}") })
        def second = @second ||= Float(@params["second"].to_s, exception: false)
        def whole(name) = Integer(@params[name].to_s, 10, exception: false).to_i
        def eight = whole("eight")
        def count = whole("count")
        def link = @link ||= (@piece.links[whole("link") - 1] if whole("link").positive?)

        def same?(each, mark)
          each.values_at("link_id", "row", "at") == mark.values_at("link_id", "row", "at") ||
            (each["second"] - mark["second"]).abs < NEAR
        end
      end
    end
  end
end
