# frozen_string_literal: true

module Core
  module Planning
    # What each rehearsal of a plan should open and end with: last time's new material is recapped by those who learned
    # it and are there again; what is new today is danced to music once more. Nothing is wished where a chain or run
    # that holds the material does it anyway. Material that shares dancers belongs together.
    class BookendWishes
      # kind: "recap" or "to_music"; window: its index; parts: [[Task, its dancers], …].
      Wish = Struct.new(:kind, :window, :parts, :choreographers, keyword_init: true) do
        # Ids of the tasks it is about.
        def tasks = parts.map(&:first)

        # Who dances any of it.
        def dancers = parts.flat_map(&:last).uniq
      end
      # This share of those who learned something must be there for it to be recapped.
      PRESENT = 0.5

      def initialize(problem, placements)
        @problem = problem
        @tasks = problem.tasks.to_h { |task| [task.id, task] }
        @blocks = placements.group_by(&:window)
      end

      # [Wish] in order of the rehearsals.
      def all
        owed = @problem.lately.to_h { |task| [task.id, task] }
        @problem.open_windows.each_with_index.flat_map do |window, at|
          @here = @blocks.fetch(window.id, []).sort_by(&:start)
          found = recaps(at, owed) + musics(at)
          fresh.each { |task| owed[task.id] = task }
          found
        end
      end

      private

      # Who works on a piece that evening.
      def there(piece)
        @here.map { |block| task(block) }.select { |task| task.piece == piece }.flat_map(&:people).uniq
      end

      def task(block) = @tasks.fetch(block.task)
      def fresh = @here.map { |block| task(block) }.select(&:fresh?).uniq(&:id)

      def recaps(window, owed)
        return [] if @problem.recap.zero?

        due =
          owed.values
            .map { |task| [task, task.dancers & there(task.piece)] }
            .select { |task, here| here.any? && here.size >= task.dancers.size * PRESENT }
        due.map(&:first).each { |task| owed.delete(task.id) }
        together("recap", window, due.reject { |task, here| opens_with?(task, here) })
      end

      def musics(window)
        return [] if @problem.to_music.zero?

        together(
          "to_music",
          window,
          fresh.reject { |task| ends_with?(task) || task.dancers.empty? }.map { |task| [task, task.dancers] }
        )
      end

      # The first thing these dancers do holds the material anyway.
      def opens_with?(task, dancers)
        first = @here.find { |block| task(block).dancers.intersect?(dancers) }
        first && holds?(first, task)
      end

      # Something danced right through, later in the rehearsal, holds it.
      def ends_with?(task)
        last = @here.select { |block| block.task == task.id }.map(&:end).max
        @here.any? { |block| block.start >= last && holds?(block, task) }
      end

      def holds?(block, task)
        task(block).through? && task.links && task(block).links && (task.links - task(block).links).empty?
      end

      def goes_with?(one, other)
        one.first.piece == other.first.piece && one.last.intersect?(other.last)
      end

      # Parts of one piece that share dancers, directly or through others, are one wish.
      def together(kind, window, parts)
        groups = parts.each_with_object([]) do |part, found|
          same, others = found.partition { |group| group.any? { |each| goes_with?(each, part) } }
          found.replace([*others, [*same.flatten(1), part]])
        end
        groups.map do |group|
          Wish.new(
            kind:,
            window:,
            parts: group,
            choreographers: group.flat_map { |task, _| task.choreographers }.uniq & there(group.first.first.piece)
          )
        end
      end
    end
  end
end
