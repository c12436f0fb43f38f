# frozen_string_literal: true

module Records
  module Mapping
    # Ticks of one piece that come while another is being written in this process are written together, in one
    # transaction: whoever came first writes for all that wait. Nobody is answered before the commit; where writing
    # together fails, each is written alone, so that a fault is answered to whoever sent it.
    class TickBatches
      # done: whether it was written, or could not be together; states: the folded rows.
      Waiting = Struct.new(:entries, :done, :states)
      # Most that are written together.
      MOST = 40
      PATIENCE = 20

      # write: what writes entries of a piece in one transaction and answers the folded rows.
      def initialize(&write)
        @write = write
        @lock = Mutex.new
        @written = ConditionVariable.new
        @queues = Hash.new { |queues, piece| queues[piece] = [] }
        @busy = Set.new
      end

      # The folded rows of these entries' cells.
      def add(piece, entries)
        mine = Waiting.new(entries)
        @lock.synchronize { @queues[piece.id] << mine }
        write_for_all(piece) while turn?(piece, mine)
        mine.states || @write.call(piece, entries)
      end

      private

      # Waits until it is written, or until nobody writes for this piece: then it is this one's turn.
      def turn?(piece, mine)
        @lock.synchronize do
          until mine.done
            return true if @busy.add?(piece.id)

            @written.wait(@lock, PATIENCE)
          end
        end
        false
      end

      def write_for_all(piece)
        together_or_alone(piece, @lock.synchronize { @queues[piece.id].shift(MOST) })
      ensure
        @lock.synchronize do
          @busy.delete(piece.id)
          @queues.delete(piece.id) if @queues[piece.id].empty?
          @written.broadcast
        end
      end

      def together_or_alone(piece, together)
        rows = @write.call(piece, together.flat_map(&:entries)).to_h { |row| [Learnings.key_of(row), row] }
        together.each { |each| each.states = each.entries.map { |entry| rows.fetch(Learnings.key_of(entry)) }.uniq }
      rescue ActiveRecord::ActiveRecordError
        nil # each tries alone, and is told what is wrong
      ensure
        finish(together)
      end

      def finish(together) = @lock.synchronize { together.each { |each| each.done = true } }
    end
  end
end
