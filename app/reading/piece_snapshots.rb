# frozen_string_literal: true

module App
  module Reading
    # Pieces as last read, kept in this process while nothing about them changes. Every use first asks the database for
    # the piece's two counters (one small query), so that several processes never disagree: one for all that is written
    # of the piece, one for its learning log. Where only the log went on, only the cells that are newer are read.
    module PieceSnapshots
      MOST = 40
      VERSION = <<~SQL.squish
        SELECT work_version, learning_seq, (SELECT forgets FROM studios WHERE studios.id = studio_id)
        FROM pieces WHERE id = $1
      SQL
      private_constant :VERSION
      @kept = {}
      @lock = Mutex.new

      # What was made of something already, by key; forgotten as a whole when it becomes too much. What was made of one
      # item's cells alone is kept with its item.
      class Memo
        MOST = 1200

        def initialize(kept = {}) = @kept = kept

        # of: key of the one learning item it depends on, or nil.
        def fetch(key, of = nil)
          found = @kept[key]
          return found.first if found

          @kept.clear if @kept.size >= MOST
          (@kept[key] = [yield, of]).first
        end

        # A Memo with what depends on one item, and on none of these.
        def apart_from(items) = Memo.new(@kept.select { |_, (_, of)| of && !items.include?(of) })
      end

      # The newest of each, with the version of what it depends on.
      class Held
        def initialize = @kept = {}

        def fetch(key, version)
          kept = @kept[key]
          return kept.last if kept && kept.first == version

          made = yield
          @kept[key] = [version, made]
          made
        end
      end

      # What does not depend on who has learned what.
      class Unlearned
        attr_reader :work, :cast, :items, :people

        def initialize(piece)
          @piece = piece
          @vocabulary = piece.studio.vocabulary
          @work = Records::Mapping::Works.load(piece)
          @cast = Records::Mapping::Works.cast(piece)
          @items = Core::Learning::Items.new(@work, cast: @cast)
          @people = piece.studio.people.index_by(&:id)
          @memo = Memo.new
        end

        def danced = memo(:walks) { Core::Piece::Danced.new(work, vocabulary: @vocabulary) }
        def stage = memo(:stage) { Records::Mapping::Floors.stage(@piece, work.order) }

        def review
          memo(:review) { Core::Joins::Review.new(work, vocabulary: @vocabulary, danced:, metres: stage.metres) }
        end

        def lines = memo(:lines) { Core::Floor::LineChecks.new(work, danced:, cast:) }

        # The newest entry of every join's history: {join key => Records::Agreement}.
        def agreements = memo(:agreements) { @piece.agreements.order(:id).index_by(&:join_key) }
        def join_facts = memo(:join_facts) { @piece.join_facts.index_by(&:join_key) }

        # {item key => ids of those who dance it}.
        def dancers = memo(:dancers) { items.all.to_h { |item| [item.key, items.dancers(item).to_set] } }
        def joins = memo(:joins) { Core::Joins::Sequence.new(work.order).joins }
        def line_findings = memo(:line_findings) { lines.findings }

        def memo(key, &) = @memo.fetch(key, &)
        def held(key, version, &) = (@held ||= Held.new).fetch(key, version, &)
      end

      # A piece as it was under its counters; memo keeps more that depends on nothing else. What depends on the cells of
      # one item only (of:) outlives the ticks of all others.
      class Snapshot
        attr_reader :progress

        delegate :work, :cast, :items, :people, :danced, :stage, :review, :lines, :agreements, :join_facts, :dancers,
                 :joins, :line_findings, to: :@score

        def initialize(piece, score: Unlearned.new(piece), progress: Records::Mapping::Learnings.progress(piece),
                       memo: Memo.new)
          @score = score
          @progress = progress
          @memo = memo
          @held = Held.new
        end

        # The same piece, of whose log more was read.
        def later(piece, seq)
          keys = Records::Mapping::Learnings.since(piece, seq)
          progress = Records::Mapping::Learnings.progress_with(piece, @progress, keys)
          Snapshot.new(piece, score: @score, progress:, memo: @memo.apart_from(keys.to_set(&:second)))
        end

        def memo(key, of: nil, &block) = @memo.fetch(key, of, &block)

        # The same for what the work alone says, whoever has learned what.
        def of_work(key, &) = @score.memo(key, &)

        # How each join stands, in running order: [JoinStanding].
        def standings
          memo(:standings) { review.joins.map { |held| standing(held) } }
        end

        # How far the whole piece is, 0 to 100.
        def percent
          memo(:percent) do
            pairs = items.all.map do |item|
              memo([:climbed, item.key], of: item.key) { progress.climbed(items.dancers(item), item.key) }
            end
            possible = pairs.sum(&:last)
            possible.zero? ? 0 : (pairs.sum(&:first) * 100.0 / possible).round
          end
        end

        # The same for what depends on more than the piece, with a version of that.
        def held(key, version, &) = @held.fetch(key, version, &)

        # And for what depends on that and on the work, whoever has learned what.
        def held_by_work(key, version, &) = @score.held(key, version, &)

        private

        # A join's standing depends on who has the join, and on nothing else that is ticked.
        def standing(held)
          item = items.of_join(held.join.index)
          memo([:standing, held.join.index], of: item&.key) { JoinStanding.new(held, self) }
        end
      end

      # A snapshot under the counters it was read at.
      Kept = Struct.new(:work_version, :learning_seq, :snapshot)

      module_function

      def of(piece)
        work_version, learning_seq = counters(piece)
        kept = @lock.synchronize { @kept[piece.id] }
        return kept.snapshot if kept && kept.work_version == work_version && kept.learning_seq == learning_seq

        known = kept if kept && kept.work_version == work_version && kept.learning_seq < learning_seq
        snapshot = known ? known.snapshot.later(piece, known.learning_seq) : Snapshot.new(piece)
        keep(piece.id, Kept.new(work_version, learning_seq, snapshot))
      end

      # A snapshot that is right about the work, though the log may have gone on: for whoever writes to the log.
      def of_work(piece)
        kept = @lock.synchronize { @kept[piece.id] }
        kept && kept.work_version == counters(piece).first ? kept.snapshot : of(piece)
      end

      # The piece as the transaction under way has left it: read from the rows, kept by nobody. Of what people have
      # learned it says what was so before.
      def written(piece, before) = Snapshot.new(piece.studio.pieces.find(piece.id), progress: before.progress)

      # Forgets everything; specs that reuse row numbers need it.
      def clear = @lock.synchronize { @kept.clear }

      # [work_version, learning_seq] as they are.
      def counters(piece)
        work_version, learning_seq, forgets = Records::Base.rows_of(VERSION, "counters", [piece.id]).first
        Forgetting.seen(piece.studio_id, forgets)
        [work_version, learning_seq]
      end

      def keep(id, kept)
        @lock.synchronize do
          @kept.delete(id)
          @kept.shift if @kept.size >= MOST
          @kept[id] = kept
        end
        kept.snapshot
      end
    end
  end
end
