# frozen_string_literal: true

module App
  module Reading
    # Pieces as last read, kept in this process while nothing about them changes. Every use first asks the database for
    # the piece's two counters (one small query), so that several processes never disagree: one for all that is written
    # of the piece, one for its learning log. Where only the log went on, only the cells that are newer are read.
    module PieceSnapshots
      MOST = 40
      VERSION = "SELECT work_version, learning_seq FROM pieces WHERE id = $1"
      private_constant :VERSION
      @kept = {}
      @lock = Mutex.new

      # What was made of something already, by key; forgotten as a whole when it becomes too much.
      class Memo
        MOST = 600

        def initialize = @kept = {}

        def fetch(key)
          @kept.fetch(key) do
            @kept.clear if @kept.size >= MOST
            @kept[key] = yield
          end
        end
      end

      # What does not depend on who has learned what.
      class Score
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

        def memo(key, &) = @memo.fetch(key, &)
      end

      # A piece as it was under its counters; memo keeps more that depends on nothing else.
      class Snapshot
        attr_reader :progress

        delegate :work, :cast, :items, :people, :danced, :stage, :review, :lines, :agreements, :join_facts, to: :@score

        def initialize(piece, score: Score.new(piece), progress: Records::Mapping::Learnings.progress(piece))
          @score = score
          @progress = progress
          @memo = Memo.new
          @held = {}
        end

        # The same piece, of whose log more was read.
        def later(piece, seq)
          progress = Records::Mapping::Learnings.progress_since(piece, @progress, seq)
          Snapshot.new(piece, score: @score, progress:)
        end

        def memo(key, &) = @memo.fetch(key, &)

        # The same for what depends on more than the piece, with a version of that.
        def held(key, version)
          kept = @held[key]
          return kept.last if kept && kept.first == version

          made = yield
          @held[key] = [version, made]
          made
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

      # The piece as the transaction under way has left it: read from the rows, kept by nobody. Of what people have
      # learned it says what was so before.
      def written(piece, before) = Snapshot.new(piece.studio.pieces.find(piece.id), progress: before.progress)

      # Forgets everything; specs that reuse row numbers need it.
      def clear = @lock.synchronize { @kept.clear }

      def counters(piece) = Records::Base.connection.select_rows(VERSION, "counters", [piece.id]).first

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
