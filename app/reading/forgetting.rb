# frozen_string_literal: true

module App
  module Reading
    # What this process remembers of words (pieces and seasons as read, lines that were read, words that were spoken)
    # goes when somebody of a studio was erased, in whichever process that happened: the studio's row counts it, and
    # the
    # counter comes along with every look at what is remembered.
    module Forgetting
      @seen = {}
      @lock = Mutex.new

      module_function

      # The counter as it was read with something else.
      def seen(studio_id, forgets)
        before = @lock.synchronize do
          known = @seen[studio_id]
          @seen[studio_id] = forgets
          known
        end
        forget if before && before != forgets
      end

      # Looks for all studios this process knows: for the worker, which nobody asks for pages.
      def look
        ids = @lock.synchronize { @seen.keys }
        Records::Studio.where(id: ids).pluck(:id, :forgets).each { |id, forgets| seen(id, forgets) } if ids.any?
      end

      def forget
        PieceSnapshots.clear
        SeasonSnapshots.clear
        Core::Movement::Vocabulary::DEFAULT.forget
        Core::Movement::GroupWords.forget
        Shared::Voice.forget
      end
    end
  end
end
