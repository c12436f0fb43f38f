# frozen_string_literal: true

module App
  module Reading
    # Pieces as last read, kept in this process while nothing about them changes. Every use first asks the database for
    # the piece's version (one small query), so that several processes never disagree.
    module PieceSnapshots
      MOST = 40
      VERSION = <<~SQL.squish
        SELECT (SELECT max(id) FROM ledger_entries WHERE piece_id = $1), (SELECT max(updated_at) FROM people WHERE studio_id = $2),
               (SELECT count(*) FROM castings WHERE piece_id = $1), (SELECT lock_version FROM pieces WHERE id = $1), (SELECT max(id) FROM revisions WHERE piece_id = $1),
               (SELECT max(id) FROM agreements WHERE piece_id = $1), (SELECT max(id) + count(*) FROM own_steps WHERE studio_id = $2)
      SQL
      @kept = {}
      @lock = Mutex.new

      # What was computed for a version of a piece; memo keeps more that depends on nothing else.
      class Snapshot
        attr_reader :work, :cast, :items, :progress, :people

        def initialize(piece)
          @piece = piece
          @vocabulary = piece.studio.vocabulary
          @work = Records::Mapping::Works.load(piece)
          @cast = Records::Mapping::Works.cast(piece)
          @items = Core::Learning::Items.new(@work, cast: @cast)
          @progress = Records::Mapping::Learnings.progress(piece)
          @people = piece.studio.people.index_by(&:id)
          @memo = {}
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

        def memo(key) = @memo.fetch(key) { @memo[key] = yield }

        # The same for what depends on more than the piece, with a version of that.
        def held(key, version)
          kept = @memo[key]
          return kept.last if kept && kept.first == version

          yield.tap { |made| @memo[key] = [version, made] }
        end
      end

      module_function

      def of(piece)
        version = version(piece)
        kept = @lock.synchronize { @kept[piece.id] }
        return kept.last if kept&.first == version

        Snapshot.new(piece).tap { |fresh| keep(piece.id, version, fresh) }
      end

      def version(piece)
        row = Records::Base.connection.exec_query(VERSION, "version", [piece.id, piece.studio_id]).rows.first
        [piece.updated_at, *row]
      end

      # Forgets everything; specs that reuse row numbers need it.
      def clear = @lock.synchronize { @kept.clear }

      def keep(id, version, snapshot)
        @lock.synchronize do
          @kept.delete(id)
          @kept.shift if @kept.size >= MOST
          @kept[id] = [version, snapshot]
        end
      end
    end
  end
end
