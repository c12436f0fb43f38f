# frozen_string_literal: true

require "web_helper"
require "support/filled_forms"

# Learning beside the ladder: strands, ways of counting, sign-offs, reports, understudies, readiness, the next half
# hour.
RSpec.describe "learning in full", :web do
  include FilledForms

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:walk) { piece.sections.find_by!(name: "Opening Walk") }
  let(:odalys) { make_member(studio, "choreographer", name: "Odalys", person: walk.choreographer) }
  let(:assistant) { make_member(studio, "assistant") }
  let(:key) { "s#{walk.id}" }

  before { sign_in director }

  def tick(people, rung: 4, item: key, **more)
    cells = people.map { |person| "#{person.id}:#{item}" }
    sent = { "cells" => cells, "rung" => rung, **more.transform_keys(&:to_s) }
    App::Learning::Actions::RecordTicks.new(piece, director, sent, NOW.to_date).run
  end

  def who_has_it(tail = "") = "/pieces/#{piece.id}/who-has-it#{tail}"
  def text(path) = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def progress = App::Reading::PieceSnapshots.of(piece.reload).progress
  def said = follow_redirect!.body[%r{role="status".*?<span>(.*?)</span>}m, 1]

  it "keeps what is ticked on the spots, from the other side and as a cover apart from the own part" do
    %w[ensemble other_side].each { |strand| expect(tick([dancers.first], rung: 5, strand:)).to be_ok }
    expect(tick([dancers.second], rung: 4, strand: "cover:#{dancers.first.id}")).to be_ok
    own = dancers.first(2).map { |person| progress.rung(person.id, key) }
    ensemble = progress.on(Core::Learning::Strand.new(track: "ensemble"))
    cover = progress.on(Core::Learning::Strand.new(track: "cover", covers: dancers.first.id))
    expect([own, ensemble.rung(dancers.first.id, key), cover.rung(dancers.second.id, key)]).to eq [[0, 0], 5, 4]
    expect(tick([dancers.first], strand: "backwards").errors[:error]).to include "on the spots"
    expect(tick([dancers.first], strand: "cover:#{dancers.first.id}").errors[:error]).to include "None of these"
    expect(get(who_has_it("?strand=ensemble")).body).to include %(class="r5 learned")
    expect(App::Learning::Actions::RebuildStates.new(studio).run).to eq 0
  end

  it "sorts by who is most behind and by who blocks the next run, and says by how much" do
    tick(dancers.first(3), rung: 4)
    rows = Nokogiri::HTML(get(who_has_it("?sort=behind")).body).css("tr[data-p] th").map { |th| th.text.squeeze(" \n") }
    expect(rows.first).to include("Dov Test").and include("4 steps to catch up")
    expect(text(who_has_it("?sort=blocking"))).to include "Dov Test holds up"
  end

  it "counts in the studio's way or the section's own: clean runs, then only what was signed off" do
    2.times { tick([dancers.first]) }
    send_form "/settings", settings_form.merge("learned_way" => "clean_runs", "clean_runs" => "3")
    expect([progress.learned?(dancers.first.id, key), get(who_has_it).body]).to match [false, /<td data-i class="r4">/]
    tick([dancers.first])
    expect(progress.learned?(dancers.first.id, key)).to be true
    walk.update!(learned_way: "confirmed")
    expect(progress.learned?(dancers.first.id, key)).to be false
    expect(text("/pieces/#{piece.id}/cell?person=#{dancers.first.id}&item=#{key}")).to include "once it is signed off"
    send_form "/settings", settings_form.merge("clean_runs" => "0")
    expect([last_response.status, last_response.body]).to match [422, /a whole number from 1 to 20/]
  end

  it "is signed off in one tap with exceptions by whoever teaches it, and by nobody else but the director" do
    tick(dancers.first(3))
    sign_in assistant
    expect(text(who_has_it("/sign-offs"))).to include "1 thing for others"
    send_form who_has_it("/sign-offs"), { "item" => key, "people" => dancers.map { |each| each.id.to_s } }
    expect([said, piece.ledger_entries.where(kind: "signed_off").count]).to match [/whoever teaches it/, 0]
    sign_in odalys
    send_form who_has_it("/sign-offs"), { "item" => key, "people" => dancers.first(2).map { |each| each.id.to_s } }
    expect(said).to eq "Signed off for 2 dancers."
    expect(dancers.map { |each| progress.cell(each.id, key).signed_off }).to eq [true, true, false, false]
    expect(tick([dancers.first], kind: "signed_off")).to be_ok
  end

  it "hands the queue of somebody who is away to the assistant until a day, and takes it back" do
    tick([dancers.first])
    sign_in odalys
    send_form "/pieces/#{piece.id}/handovers",
              { "person" => walk.choreographer_id, "member" => assistant.id, "until" => "2027-02-09" }
    sign_in assistant
    expect(text(who_has_it("/sign-offs"))).to include "1 thing for you"
    App::Shared::Clock.frozen_at = NOW + (8 * 86_400)
    expect(text(who_has_it("/sign-offs"))).to include "nothing waits for you"
    App::Shared::Clock.frozen_at = NOW
    sign_in director
    send_form "/pieces/#{piece.id}/handovers/#{studio.hand_overs.last.id}/end", {}
    sign_in assistant
    send_form who_has_it("/sign-offs"), { "item" => key, "people" => [dancers.first.id.to_s] }
    expect(said).to include "whoever teaches it"
  end

  it "takes a dancer's own report only where the studio wants it, lets it wait, and answers it" do
    token = dancers.first.person_links.issue(studio_id: studio.id).last
    report = { "piece" => piece.id.to_s, "item" => key, "rung" => "4" }
    send_form "/my/#{token}/reports", report
    expect(piece.ledger_entries.count).to eq 0
    studio.update!(settings: { "self_reports" => true })
    send_form "/my/#{token}/reports", report
    expect([progress.rung(dancers.first.id, key), progress.cell(dancers.first.id, key).reported]).to eq [0, 4]
    expect(text("/my/#{token}")).to include "you say: with music"
    sign_in odalys
    expect(text(who_has_it("/sign-offs"))).to include "Ada Test says: with music"
    send_form who_has_it("/sign-offs"), { "item" => key, "people" => [dancers.first.id.to_s], "answer" => "not_yet" }
    expect([said, progress.cell(dancers.first.id, key).reported]).to eq ["One dancer is told: not yet.", 0]
  end

  it "says what blocks a run and when that is worked on, and keeps an overruling with its reason for ever" do
    make_season(studio)
    App::Planning::Actions::Publish.new(
      App::Planning::Actions::Make.new(piece, director.account, studio.local(NOW)).run, NOW
    ).run
    ready = who_has_it("/ready?kind=stumble_through")
    expect(text(ready)).to match(/0 of 4 at slow counts 4 more are needed .* Feb, \d/)
    send_form who_has_it("/ready"), { "kind" => "stumble_through", "reason" => "" }
    expect(piece.overrulings.count).to eq 0
    send_form who_has_it("/ready"), { "kind" => "stumble_through", "reason" => "the hall is booked" }
    expect(text(who_has_it("/ready?kind=stumble_through"))).to include "Overruled by Director", "the hall is booked"
    expect { piece.overrulings.last.update!(reason: "other") }.to raise_error(/append-only/)
  end

  it "names who learns whose part, shows who could step in, and leaves their own part alone" do
    send_form "/pieces/#{piece.id}/understudies", { "person" => dancers.second.id, "covers" => dancers.first.id }
    send_form "/pieces/#{piece.id}/understudies", { "person" => dancers.first.id, "covers" => dancers.first.id }
    expect([said, piece.understudies.count]).to eq ["Nobody covers their own part.", 1]
    tick([dancers.second], strand: "cover:#{dancers.first.id}")
    page = text(who_has_it("/understudies"))
    expect(page).to match(/Ada Test All .*?Bram Test End Bram Test has 1 of \d, one of them/)
  end

  it "lists the smallest catch-up with minutes and a buddy, and what would move the piece most in so many minutes" do
    tick(dancers.first(3), rung: 3)
    behind = text(who_has_it("/catch-up?person=#{dancers.last.id}"))
    expect(behind).to match(/Opening Walk nothing yet → at tempo .* Ada/)
    page = text(who_has_it("/next?minutes=20"))
    expect(page).to match(/\d+ min (?:Show|Drill|Teach \d eights? of) /)
    expect(text(who_has_it("/next?minutes=5&room=nonsense"))).to include "in any room"
  end

  it "shows each role its own Home: own sections with their neighbours, the next rehearsal, the whole" do
    tick(dancers.first(3))
    make_season(studio)
    sign_in odalys
    expect(text("/")).to include("My sections").and match(/Opening Walk .*3 of 4 have it/)
      .and include("after it Spiral starts").and include("1 thing waits to be signed off")
    sign_in assistant
    expect(text("/")).to include("Today").and include("What it needs")
    sign_in director
    expect(text("/")).to include("Pieces").and include("Decide next")
  end

  it "keeps a ladder for each layer where the section says so" do
    expect(text(who_has_it)).not_to include "the arms"
    walk.update!(layered_ladder: true)
    tick([dancers.first], rung: 2, strand: "arms")
    page = Nokogiri::HTML(get(who_has_it("?strand=arms")).body)
    expect(page.css("thead th[data-item]").pluck("data-item")).to eq [key]
    expect(page.css("td.r2").size).to eq 1
    expect(progress.rung(dancers.first.id, key)).to eq 0
  end

  it "knows how far each group has a section, and plans from where the slowest is" do
    make_cast(piece, %w[Edda Falk], group: "Late")
    late = piece.groups.find_by!(name: "Late")
    walk.teachings.create!(studio_id: studio.id, eights: 4, day: "2027-02-01", by_name: "D", created_at: NOW)
    send_form "/pieces/#{piece.id}/sections/#{walk.id}/up-to", { "group" => late.id, "eights" => "2" }
    far = App::Reading::TaughtSoFar.new(piece)
    expect([far.of(walk.id, late.id), far.of(walk.id, late.id + 1), far.to_h[walk.id]]).to eq [2, 4, 2]
    page = get("/pieces/#{piece.id}/sections/#{walk.id}").body
    expect(page).to match(/Late.*?name="eights" value="2"/m)
    send_form "/pieces/#{piece.id}/sections/#{walk.id}/up-to", { "group" => late.id, "eights" => "9" }
    expect([said, walk.teachings.count]).to match [/Opening Walk has 4 eights/, 2]
    walk.teachings.create!(studio_id: studio.id, eights: 3, day: "2027-02-02", by_name: "D", created_at: NOW)
    expect(App::Reading::TaughtSoFar.new(piece).to_h[walk.id]).to eq 3
  end

  describe "with a plan that was told" do
    before do
      make_season(studio)
      plan = App::Planning::Actions::Make.new(piece, director.account, studio.local(NOW)).run
      App::Planning::Actions::Publish.new(plan, NOW).run
    end

    it "links every hole to the slot that mends it, and calls nothing run that no rehearsal behind us has run" do
      tick(dancers)
      page = Nokogiri::HTML(get(who_has_it("/coverage")).body)
      holes = page.css(".coverage section").to_h { |each| [each.at_css("h2").text[/[A-Za-z ]+/].strip, each] }
      expect(holes.keys).to include("Never taught", "Never joined", "Never run yet")
      never_run = holes["Never run yet"].text
      expect(never_run).to include("Opening Walk").and include("4 of 4 have seen it, last danced today")
      slots = holes["Never joined"].css("li a").pluck("href").grep(/call-sheet/)
      expect(slots.size).to eq holes["Never joined"].css("li").size
      plan = piece.published_plan
      run = plan.slots.find_by!(kind: "run")
      run.update!(rehearsal: studio.rehearsals.create!(date: "2027-01-26", start_minute: 1080, end_minute: 1200))
      expect(Nokogiri::HTML(get(who_has_it("/coverage")).body).css("h2").text).not_to include "Never run yet"
    end

    it "reckons the half hour of another evening with those who will be there, and what its teachers teach" do
      evening = studio.rehearsals.standing.second
      studio.people.choreographers.each do |teacher|
        teacher.absences.create!(studio:, from_date: evening.date, to_date: evening.date)
      end
      dancers.last.absences.create!(studio:, from_date: evening.date, to_date: evening.date)
      page = text(who_has_it("/next?rehearsal=#{evening.id}"))
      expect(page).to include("with 3 dancers").and include("Nothing that these people have begun")
      tick(dancers, rung: 3)
      expect(text(who_has_it("/next?rehearsal=#{evening.id}"))).to match(/min (?:Drill|Dance) Opening Walk/)
    end

    it "asks what would move the piece most where an evening is empty" do
      piece.published_plan.slots.where(rehearsal: studio.rehearsals.standing.first).delete_all
      expect(get("/pieces/#{piece.id}/plan").body).to include "/who-has-it/next?rehearsal="
    end
  end

  it "ticks and takes back along a strand without scripts, and comes back to the same cell" do
    cell = "/pieces/#{piece.id}/cell?person=#{dancers.first.id}&item=#{key}&strand=other_side"
    sent = { "person" => dancers.first.id, "item" => key, "rung" => "3", "kind" => "danced", "strand" => "other_side" }
    send_form "/pieces/#{piece.id}/ticks", sent
    expect(last_response.headers["location"]).to end_with "strand=other_side"
    expect(text(cell)).to include("from the other side").and include("danced: at tempo").and include("danced on 2 Feb")
    send_form "/pieces/#{piece.id}/ticks/#{piece.ledger_entries.last.id}/undo", {}
    expect([last_response.headers["location"], text(cell)]).to match [/strand=other_side/, /taken back/]
    expect(text("/pieces/#{piece.id}/cell?person=#{dancers.first.id}&item=#{key}")).to include "Nothing in the log yet"
  end

  it "lets the teacher of either side sign off a join" do
    join = App::Reading::PieceSnapshots.of(piece).items.all.find { |item| item.kind == :join }
    mirela = make_member(studio, "choreographer", name: "Mirela", person: studio.people.find_by!(name: "Mirela"))
    tick(dancers, item: join.key)
    { mirela => dancers.first, odalys => dancers.second }.each do |member, dancer|
      sign_in member
      send_form who_has_it("/sign-offs"), { "item" => join.key, "people" => [dancer.id.to_s] }
      expect(said).to eq "Signed off for one dancer."
    end
  end

  it "counts by a reviewed clip only what whoever teaches it says was reviewed" do
    walk.update!(learned_way: "clip")
    tick(dancers.first(2))
    expect(progress.learned?(dancers.first.id, key)).to be false
    sent = { "person" => dancers.first.id, "item" => key, "rung" => "4", "kind" => "clip_reviewed" }
    sign_in assistant
    send_form "/pieces/#{piece.id}/ticks", sent
    expect([said, progress.learned?(dancers.first.id, key)]).to match [/whoever teaches it/, false]
    sign_in odalys
    send_form "/pieces/#{piece.id}/ticks", sent
    expect(dancers.first(2).map { |each| progress.learned?(each.id, key) }).to eq [true, false]
  end
end
