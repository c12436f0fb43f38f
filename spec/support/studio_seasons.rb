# frozen_string_literal: true

# Made-up seasons of a studio as plan-problem-2: two pieces that share dancers, four who lead (one of them a guest), two
# rooms, absences, bands, a dress rehearsal and a show.
class StudioSeasons
  BANDS = [["8_11", "20:00", 150, 45], ["12_15", "21:00", 240, 55], ["16_17", "22:00", 300, 55]]
    .map { |row| %w[band home_by minutes_a_day on_end].zip(row).to_h }.freeze

  def self.one(random, **facts) = new(random, **facts).to_h

  # away: how often somebody is; sites: whether the rooms are in two houses.
  def initialize(random, weeks: random.rand(3..5), dancers: random.rand(8..12), away: [0, 0.1, 0.2].sample(random:),
                 sites: random.rand < 0.2)
    @random = random
    @ids = Array.new(dancers) { |i| "d#{i + 1}" }
    @windows = Array.new(weeks * 2) { |i| window(i, sites) }
    @windows[-2]["kind"] = "dress"
    @windows[-1]["kind"] = "show"
    @away = away
    @sites = sites
  end

  def to_h
    {
      "format" => "plan-problem-2", "grid" => 5, "min_part" => 15, "max_part" => 45, "max_continuous" => 55,
      "break" => 5, "trip_cost" => 30, "show_date" => @windows.last["date"], "dancers" => dancers,
      "choreographers" => %w[t1 t2 guest assistant], "windows" => @windows, "unavailable" => absences + guest,
      "tasks" => piece("p", @ids, 0) + piece("q", @ids.last(7), 1), "bands" => BANDS, "aims" => aims,
      "pieces" => [{ "id" => "p", "order" => 1 }, { "id" => "q", "order" => 2 }],
      "warm_up" => 15, "re_warm_after" => 20, "cool_down" => 5, "between_sites" => @sites ? 15 : 0
    }
  end

  private

  def window(index, sites)
    date = Date.new(2027, 1, 4) + (index / 2 * 7) + (index.odd? ? 3 : 0)
    rooms = [{ "id" => "A", "capacity" => 30 }, { "id" => "B", "capacity" => 14 }]
    rooms.zip(%w[north south]).each { |room, site| room["site"] = site } if sites
    { "id" => "w#{index + 1}", "date" => date.iso8601, "start" => "17:30", "end" => "20:00", "rooms" => rooms }
  end

  def dancers = @ids.each_with_index.map { |id, i| { "id" => id, "band" => BANDS[[i / 3, 2].min]["band"] } }

  def absences
    @ids.product(@windows).select { @random.rand < @away }.map do |who, window|
      { "who" => who, "date" => window["date"], **(@random.rand < 0.5 ? {} : { "to" => "18:15" }) }
    end
  end

  # Comes on every third evening.
  def guest
    @windows.reject.with_index { |_, i| (i % 3) == 1 }.map { |window| { "who" => "guest", "date" => window["date"] } }
  end

  def aims
    first = @windows[[6, @windows.size - 3].min]["date"]
    [{ "task" => "prun0", "date" => first }, { "task" => "qrun1", "date" => @windows[-2]["date"] }]
  end

  def piece(name, people, turn)
    sections = Array.new(4) { |i| section(name, i, i.even? ? people : people.first(people.size - 3), turn) }
    sections.flatten + Array.new(2) { |i| run(name, i, people) }
  end

  def section(name, index, people, turn)
    lead = index == 1 ? "guest" : %w[t1 t2][(index + turn) % 2]
    leads = [{ "people" => [lead], "price" => 0 }, { "people" => ["assistant"], "price" => 40 }]
    common = { "piece" => name, "leads" => leads }
    [
      { "id" => "#{name}learn#{index}", "kind" => "learn", "minutes" => [30, 40, 50].sample(random: @random),
        "split" => true, "must" => people.last(1), "may" => people[0..-2], "enough" => (people.size - 1) / 2,
        "groups" => [{ "people" => people.first(4), "enough" => 2 }], "new" => @random.rand(4..8), **common },
      (join(name, index, people, common) if index.positive?)
    ].compact
  end

  def join(name, index, people, common)
    { "id" => "#{name}join#{index}", "kind" => "join", "minutes" => 10, "may" => people,
      "enough" => people.size / 2, "after" => [index, index - 1].map { |i| "#{name}learn#{i}" }, **common }
  end

  def run(name, index, people)
    { "id" => "#{name}run#{index}", "kind" => "run", "minutes" => 10, "piece" => name, "may" => people,
      "enough" => people.size * 2 / 3, "full_out" => true, "after" => (1..3).map { |i| "#{name}join#{i}" },
      "leads" => [{ "people" => ["t1"], "price" => 0 }, { "people" => ["t2"], "price" => 20 }],
      "after_window" => index.zero? ? [] : ["#{name}run#{index - 1}"] }
  end
end
