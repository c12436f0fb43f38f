# frozen_string_literal: true

# Every plan of few unsplit tasks in one room, tried: [ready window, cost] of the best; nil when none is complete.
class EnumeratedPlans
  def initialize(asked)
    @asked = asked
    @tasks = asked.in_order
    @best = nil
  end

  def best
    place([])
    @best
  end

  private

  def place(done)
    return judge(done) if done.size == @tasks.size

    task = @tasks[done.size]
    @asked.windows.each_index do |w|
      (0..(@asked.windows[w].minutes - task.minutes)).step(@asked.grid) do |start|
        place([*done, [task, w, start]]) if fits?(done, task, w, start)
      end
    end
  end

  def fits?(done, task, window, start)
    if @asked.unavailable.any? { |away| task.people.include?(away[:who]) && away[:date] == @asked.windows[window].date }
      return false
    end

    done.all? do |other, w, s|
      apart = w != window || s + other.minutes <= start || start + task.minutes <= s
      apart && (!task.before.include?(other.id) || ([w, s + other.minutes] <=> [window, start]) <= 0) &&
        (!task.after_window.include?(other.id) || w < window)
    end
  end

  def judge(done)
    last = done.select { |task, _, _| task.run? }.map { |_, w, _| w }.max || done.map { |_, w, _| w }.max
    found = [last, cost(done)]
    @best = found if @best.nil? || (found <=> @best).negative?
  end

  def cost(done)
    done
      .flat_map { |task, w, s| task.people.map { |who| [[who, w], s, task.minutes] } }
      .group_by(&:first)
      .sum do |_, own|
        own.map { |_, s, m| s + m }.max - own.map { |_, s, _| s }.min - own.sum { |_, _, m| m } + @asked.trip_cost
      end
  end
end
