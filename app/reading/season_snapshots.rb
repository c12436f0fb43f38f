# frozen_string_literal: true

module App
  module Reading
    # What several screens ask of a studio's season, kept in this process while nothing about the season changes: one
    # small query says whether it did (SeasonVersion), so that several processes never disagree.
    module SeasonSnapshots
      MOST = 40
      @kept = {}
      @lock = Mutex.new

      # A season as it was under its version. Its rows are for reading only.
      class Season
        def initialize(studio, today)
          @studio = studio
          @today = today
          @memo = PieceSnapshots::Memo.new
        end

        # Standing rehearsals from today on, with their rooms, the next first.
        def ahead
          memo(:ahead) { @studio.rehearsals.standing.where(date: @today..).includes(:rooms).to_a }
        end

        # Those of them that are not over at a moment (the studio's local time).
        def still_ahead(now) = ahead.reject { |rehearsal| rehearsal.over?(now) }

        # The last rehearsals before today, the latest first.
        def recent
          memo(:recent) do
            @studio.rehearsals.where(cancelled_at: nil, date: ...@today).order(date: :desc).limit(6).to_a
          end
        end

        # Ids of those present today by the register, or nil.
        def present = memo(:present) { Present.of(@studio, @today) }

        # The newest plan of a piece; what its search says meanwhile is not kept up to date.
        def latest_plan(piece) = memo([:latest_plan, piece.id]) { piece.latest_plan }

        # The plan of a piece that people were told, or nil.
        def published_plan(piece) = memo([:published_plan, piece.id]) { piece.published_plan }

        def memo(key, &) = @memo.fetch(key, &)
      end

      module_function

      # now: the studio's local time.
      def of(studio, now)
        version = SeasonVersion.of_studio(studio.id, now)
        known, season = @lock.synchronize { @kept[studio.id] }
        return season if known == version

        keep(studio.id, version, Season.new(Records::Studio.find(studio.id), now.to_date))
      end

      # Forgets everything; specs that reuse row numbers need it.
      def clear = @lock.synchronize { @kept.clear }

      def keep(id, version, season)
        @lock.synchronize do
          @kept.delete(id)
          @kept.shift if @kept.size >= MOST
          @kept[id] = [version, season]
        end
        season
      end
    end
  end
end
