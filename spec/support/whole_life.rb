# frozen_string_literal: true

require_relative "season_checks"

# A studio with two pieces, a guest, minors and an assistant, lived through with whatever a director does: evening after
# evening things happen, are planned again and told. Every page answers; what is told can be done.
class WholeLife
  SECOND = "Rain, 2 eights, Odalys\nSun, 3 eights, Perrin\nRain again, with changes in 2\nSun again, other side"
  PAGES = %w[/plan /plan/what-if /calls /who-has-it /who-has-it/ready /who-has-it/coverage /who-has-it/understudies
             /who-has-it/catch-up].freeze
  WORDS = ["never Thursdays", "from 18:10 on Tuesdays", "tomorrow", "9 Mar to 18 Mar"].freeze

  # spec: the example, which visits; random: Random.
  def initialize(spec, random)
    @spec = spec
    @random = random
    @faults = []
    @log = []
    begin_studio
  end

  attr_reader :faults

  def live
    @pieces.each { |piece| go("#{path(piece)}/plan", {}) && tell(piece) }
    while (evening = next_evening) && evening.date < Date.new(2027, 3, 28)
      2.times { happen }
      evening = next_evening or break
      hold(evening)
    end
  end

  private

  def happen
    name = %i[out back words what_if recut room hours cancel leave restore together].sample(random: @random)
    @log << [now.to_date.iso8601, name]
    send(name)
    settle
  end

  def now = @studio.local(App::Shared::Clock.now)
  def path(piece) = "/pieces/#{piece.id}"
  def pick(list) = list.to_a.sample(random: @random)
  def short(date) = date.strftime("%-d %b")
  def ahead = @studio.rehearsals.standing.where(date: (now.to_date + 1)..).order(:date)
  def next_evening = ahead.first
  def told = @pieces.filter_map { |piece| piece.reload.published_plan }

  # Sends a form, or opens a page; whatever answers "our fault" is one.
  def go(where, form = nil)
    answer = form ? @spec.send_form(where, form) : @spec.get(where)
    @faults << "#{where}: #{answer.status} after #{@log.last(4)}" if answer.status >= 500
    answer
  end

  def begin_studio
    App::Shared::Clock.frozen_at = NOW
    @studio = @spec.make_studio
    @director = @spec.make_member(@studio, "director")
    @pieces = [@spec.make_piece(@studio, @director),
               @spec.make_piece(@studio, @director, title: "Spring Piece", lines: SECOND, show_date: "2027-04-03")]
    @spec.make_cast(@pieces[0], %w[Ada Bram Cleo Dov Esi Fay Gus Hal])
    @spec.make_cast(@pieces[1], %w[Ada Bram Cleo Fern Ivo])
    people
    @pieces.each { |piece| piece.update!(settings: { "full_runs" => 2 }) }
    @spec.make_season(@studio, rooms: [["Hall", 20], ["Loft", 12]], days: %w[2 4], last: "2027-04-01", from: "17:30")
    @studio.rehearsals.order(:date).each_with_index do |evening, i|
      guest.visits.create!(studio: @studio, date: evening.date) unless i % 3 == 1
    end
    @spec.sign_in @director
  end

  def people
    @studio.people.where(name: ["Ada Test", "Odalys", "Mirela", "Perrin"]).update_all(adult: true, band: "adult")
    @studio.people.where(band: nil).order(:id).each_with_index do |person, i|
      person.update!(band: %w[8_11 12_15 16_17][i % 3])
    end
    @helper = @studio.people.create!(name: "Helper", dances: false, adult: true, band: "adult")
    @spec.make_member(@studio, "assistant", person: @helper)
    @dancers = @studio.people.dancers.to_a
  end

  def guest = @studio.people.find_by!(name: "Perrin")

  # Planned again and told until nothing stands against anything that was told.
  def settle
    3.times do
      open = @pieces.select { |piece| stands_against?(piece.reload) }
      break if open.empty?

      open.each { |piece| again(piece) && tell(piece) }
    end
  end

  def stands_against?(piece)
    plan = piece.latest_plan
    plan && App::Reading::PlanConflicts.of(plan, piece, now).any?
  end

  def again(piece)
    go("#{path(piece)}/plan/again", {})
    take(piece.plan_offers.order(:id).last, pick(%w[repair anew]))
  end

  def take(offer, way) = go("#{path(offer.piece)}/plan/offers/#{offer.id}/take", { "way" => way })

  def tell(piece)
    plan = piece.reload.latest_plan
    return if plan.nil? || plan.published?

    go("#{path(piece)}/plans/#{plan.id}/publish", { "homes" => "99" })
    check(piece) if plan.reload.published?
  end

  def check(piece)
    plan = piece.reload.published_plan or return
    studio = Records::Studio.find(@studio.id)
    found = SeasonChecks.new(studio, plan, now, beside: told - [plan]).faults
    @faults << "#{found.first(3)} after #{@log.last(4)}" if found.any?
  end

  def out = go("/people/#{pick(@dancers).id}/out", { "days" => @random.rand(2..9).to_s })
  def back = go("/people/#{pick(@dancers).id}/out", { "back" => "yes" })
  def words = go("/people/#{pick(@dancers).id}/away", { "words" => pick(WORDS) })
  def leave = pick(ahead)&.then { |evening| go("/rehearsals/#{evening.id}/leave", { "to" => "yes" }) }

  def recut
    piece = pick(@pieces)
    key = "s#{pick(piece.sections).id}"
    App::Shared::MarkChanged.new(piece, key, [1], @director.account, now.to_date).run
    piece.touch
  end

  def room
    room = @studio.rooms.order(:id).last
    go("/rooms/#{room.id}/archive", { "to" => room.archived_at ? "no" : "yes" })
  end

  def hours
    evening = pick(ahead) or return
    go("/rehearsals/#{evening.id}/change",
       { "date" => evening.date.iso8601, "start" => "18:00", "end" => "19:45", "kind" => "rehearsal",
         "rooms" => evening.rooms.ids.map(&:to_s), "lock_version" => evening.lock_version.to_s })
  end

  def cancel
    evening = pick(@studio.rehearsals.where(date: (now.to_date + 1)..)) or return
    go("/rehearsals/#{evening.id}/cancel", { "to" => evening.cancelled_at ? "no" : "yes" })
  end

  def restore
    person = @studio.people.where.not(archived_at: nil).first or return
    go("/people/#{person.id}/archive", { "to" => "no" })
  end

  def together
    go("/season/plan", { "pieces" => @pieces.each_with_index.to_h { |piece, i| [piece.id, (i + 1).to_s] } })
    offer = @studio.plan_offers.where(kind: "season").order(:id).last
    return unless offer&.done?

    go("/season/offers/#{offer.id}/take", {})
    drafts = @pieces.map { |piece| piece.reload.latest_plan }
    return if drafts.any?(&:published?)

    go("/season/tell", { "together" => drafts.first.together.to_s, "homes" => "99" })
    @pieces.each { |piece| check(piece) }
  end

  def what_if
    piece = pick(@pieces)
    return if ahead.count < 4

    asked = pick(changes(piece, pick(piece.sections), pick(piece.people), ahead.to_a))
    @log << asked
    return unless go("#{path(piece)}/plan/what-if", asked).redirect?

    go("#{path(piece)}/plan/what-if")
    take(piece.plan_offers.order(:id).last, "then")
    tell(piece)
  end

  def changes(piece, section, who, evenings)
    person = { "person" => who.id.to_s }
    of = { "section" => section.id.to_s }
    { "comes" => { **person, "date" => short(evenings[2].date) }, "leaves" => person,
      "away" => { **person, "from" => short(evenings[1].date), "to" => short(evenings[3].date) },
      "helper" => { **of, "teacher" => @helper.id.to_s }, "runs_without" => of, "runs" => { "count" => "3" },
      "quorum" => { "share" => "60" }, "without" => { "rehearsal" => evenings[2].id.to_s },
      "extra" => { "date" => (evenings[1].date + 1).iso8601, "start" => "10:00", "end" => "12:00" },
      "plain" => { "link" => pick(piece.links).id.to_s }, "passes" => { "passes" => pick(%w[fewer more]) },
      "school" => { "school" => pick(%w[back sections sketch add_on]) },
      "dates" => { "which" => "dress", "date" => short(evenings.last.date) } }
      .map { |kind, facts| { "change" => kind, **facts } }
  end

  # An evening: who is not there, how far it got, who has what; then every page is opened.
  def hold(evening)
    at(evening.date, 15)
    missing = @dancers.sample(@random.rand(0..4), random: @random).map { |person| person.id.to_s }
    go("/rehearsals/#{evening.id}/tonight?#{Rack::Utils.build_nested_query('out' => ['0', *missing])}")
    at(evening.date, 21)
    write(App::Calls::Pages::CallSheet.new(evening, @director, now))
    %W[/ /season /season/who /people/#{pick(@dancers).id} /calls].each { |page| go(page) }
    @pieces.product(PAGES).each { |piece, page| go("#{path(piece)}#{page}") }
    settle
  end

  def at(date, hour)
    App::Shared::Clock.frozen_at = Time.utc(date.year, date.month, date.day, hour)
    @spec.sign_in @director
  end

  def write(sheet)
    return unless sheet.register?

    here = sheet.people.reject { @random.rand < 0.15 }.map(&:id)
    taught = sheet.lessons.to_h { |slot, section, _| [slot.id.to_s, @random.rand(1..section.eights.size).to_s] }
    go("/rehearsals/#{sheet.rehearsal.id}/afterwards", { "here" => here.map(&:to_s), "taught" => taught })
    sheet.slots.select(&:work?).each { |slot| tick(slot, here) }
  end

  def tick(slot, here)
    key = Core::Planning::TaskKey.subject(slot.task_key)
    who = slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id) & here
    return if who.empty? || !key.match?(/\A[sj]/)

    line = App::Shared::LogLine.of(slot.plan.piece, @director.account, now.to_date)
    Records::Mapping::Learnings.append(slot.plan.piece, who.map do |id|
      line.merge(person_id: id, item_key: key, kind: "danced", rung: @random.rand(2..4), note: "")
    end)
  end
end
