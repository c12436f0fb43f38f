# frozen_string_literal: true

require "web_helper"

# A rehearsal as it goes, read for the room and for the page afterwards; and the call sheet's register, which writes to
# the same log.
RSpec.describe App::Reading::Evening, :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram Cleo Dov]) }
  let(:rehearsal) { studio.rehearsals.order(:date).first }
  let(:lesson) { work.find(&:lesson?) }

  before do
    make_season(studio, rooms: [["Hall", 40], ["Loft", 40]])
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, local).run, NOW).run
    sign_in director
  end

  def local = studio.local(App::Shared::Clock.now)
  def work = rehearsal.slots.order(:start_minute).select(&:work?)
  def evening = described_class.new(rehearsal.reload, director, local)
  def section = studio.sections.find(lesson.section_ids.first)

  def step(number, kind, slot, minute, **more)
    sent = { "client" => format("step%08d", number), "kind" => "step", "step" => kind, "slot" => slot.id,
             "minute" => minute, "at" => (NOW.to_f * 1000).to_i - 10_000 + number, **more.transform_keys(&:to_s) }
    App::Room::Actions::TakeIn.new(rehearsal, director, [sent], local).run.first[:status]
  end

  def say(person, state, number)
    sent = { "client" => format("here%08d", number), "kind" => "here", "person" => person.id.to_s, "state" => state,
             "minute" => 1085, "at" => (NOW.to_f * 1000).to_i - 10_000 + number }
    App::Room::Actions::TakeIn.new(rehearsal, director, [sent], local).run.first[:status]
  end

  def room = evening.rooms.find { |each| each.id == lesson.room_id }
  def register_page = Nokogiri::HTML(get("/rehearsals/#{rehearsal.id}/call-sheet").body)

  it "knows what each slot took, of which somebody said that it began or ended, and guesses of none" do
    expect(evening.took).to eq({})
    step(1, "begin", lesson, lesson.start_minute + 3)
    expect(evening.took).to eq({})
    step(2, "end", lesson, lesson.start_minute + 20)
    expect(evening.took).to eq(lesson.id => 17)
  end

  it "gives each room its own timetable, and a slot's people who are called elsewhere" do
    slots = evening.in_room(room)
    expect(slots.filter_map(&:room_id).uniq).to eq [lesson.room_id]
    timetable = evening.timetable(room)
    expect(timetable.slots.map(&:id)).to match_array(slots.map(&:id))
    expect(timetable.ends).to eq rehearsal.end_minute
    expect(timetable.slots.find { |slot| slot.id == lesson.id }.earliest).to be <= lesson.start_minute
  end

  it "takes a step back when it is undone, and leaves it in the log" do
    step(1, "drop", lesson, 1080)
    expect(evening.dropped).to include lesson.id
    undo = { "client" => "undo00000001", "kind" => "undo", "was" => "step", "of" => "step00000001",
             "at" => (NOW.to_f * 1000).to_i, "minute" => 1081 }
    expect(App::Room::Actions::TakeIn.new(rehearsal, director, [undo], local).run.first[:status]).to eq :stored
    expect([evening.dropped, rehearsal.evening_steps.count]).to eq [Set[], 2]
  end

  it "cannot be rewritten, only added to" do
    say(dancers[0], "present", 1)
    row = rehearsal.attendance_entries.first
    expect { row.update_columns(state: "absent") }.to raise_error(ActiveRecord::StatementInvalid)
  end

  it "is folded anew to what stands there" do
    dancers.each_with_index { |person, i| say(person, Core::Room::Said::STATES[i], i) }
    expect(Records::Mapping::Registers.rebuild(rehearsal)).to eq 0
    rehearsal.attendances.first.update!(state: "left", minute: 1)
    expect(Records::Mapping::Registers.rebuild(rehearsal)).to eq 1
    expect(rehearsal.attendances.order(:person_id).first.state).to eq "present"
  end

  it "takes what several tablets say at once of somebody nobody has spoken of yet", :committed do
    numbers = (1..12).to_a.shuffle
    answers = numbers.each_slice(3).map do |own|
      Thread.new { Records::Base.connection_pool.with_connection { own.map { |i| say(dancers[0], state(i), i) } } }
    end
    expect(answers.flat_map(&:value)).to all(eq(:stored))
    expect(rehearsal.attendances.pluck(:person_id, :state)).to eq [[dancers[0].id, state(12)]]
    expect(rehearsal.attendance_entries.count).to eq 12
  end

  def state(number) = Core::Room::Said::STATES[number % 6]

  it "hears the call sheet's register as one more that says something, and no more than was changed" do
    dancers.first(2).each_with_index { |person, i| say(person, %w[late resting][i], i) }
    boxes = register_page.css("input[name='here[]'][checked]").map { |box| box["value"] }
    expect(boxes).to include(*dancers.map { |person| person.id.to_s })
    send_form "/rehearsals/#{rehearsal.id}/register", { "here" => boxes - [dancers[3].id.to_s] }
    said = rehearsal.attendances.to_h { |row| [row.person_id, row.state] }
    expect(dancers.map { |person| said[person.id] }).to eq %w[late resting present absent]
    expect(rehearsal.attendance_entries.where(person_id: dancers[0].id).count).to eq 1
  end

  it "keeps apart how far each group got, and says it to the next lesson" do
    groups = %w[Reds Blues].map { |name| a_group(name) }
    page = Nokogiri::HTML(get("/rehearsals/#{rehearsal.id}/afterwards").body)
    fields = groups.map { |group| "group[#{lesson.id}-#{group.id}]" }
    expect(fields.map { |name| page.at_css("input[name='#{name}']") }).to all(be_present)
    here = page.css("input[name='here[]'][checked]").map { |box| box["value"] }
    far = groups.zip(%w[2 0]).to_h { |group, eights| ["#{lesson.id}-#{group.id}", eights] }
    sent = { "here" => here, "group" => far }
    send_form "/rehearsals/#{rehearsal.id}/afterwards", sent
    far = App::Reading::TaughtSoFar.new(piece.reload)
    expect(groups.map { |group| far.of(section.id, group.id) }).to eq [2, 0]
    send_form "/rehearsals/#{rehearsal.id}/afterwards",
              { **sent, "group" => { "#{lesson.id}-#{groups[0].id}" => "99" } }
    expect([last_response.status, last_response.body]).to match [422, /eights/]
  end

  # A group that dances the lesson's section.
  def a_group(name)
    group = piece.groups.create!(studio_id: studio.id, name:, number: piece.groups.count + 1)
    studio.group_members.create!(group_id: group.id, person_id: dancers.sample.id)
    section.parts.create!(studio_id: studio.id, group_id: group.id)
    piece.touch
    App::Reading::PieceSnapshots.clear
    group
  end

  it "has nothing to confirm before its day, and says who confirmed it afterwards" do
    later = studio.rehearsals.order(:date).last
    expect(get("/rehearsals/#{later.id}/afterwards").body).to include "There is nothing to confirm before"
    send_form "/rehearsals/#{rehearsal.id}/afterwards", { "here" => [] }
    follow_redirect!
    expect(last_response.body).to include("Confirmed by #{director.account.name}")
  end

  it "opens on the slot that runs, in the room where whoever looks is called" do
    teacher = studio.people.find(lesson.slot_people.find { |called| called.role == "teacher" }.person_id)
    choreographer = make_member(studio, "choreographer", person: teacher)
    App::Shared::Clock.frozen_at = NOW.change(hour: lesson.start_minute / 60, min: (lesson.start_minute % 60) + 1)
    shown = App::Room::Pages::Show.new(described_class.new(rehearsal, choreographer, local))
    expect(shown.room.id).to eq lesson.room_id
    line = shown.facts[:lines].find { |_, _, _, state| state == :running }
    expect(line.first).to eq lesson.id
  end

  it "is tried out before its day: nothing of it is kept" do
    later = studio.rehearsals.order(:date).last
    facts = App::Room::Pages::Show.new(described_class.new(later, director, local)).facts
    expect(facts[:rehearsal]).to include(trial: true, id: later.id)
    sent = { "client" => "trial0000001", "kind" => "here", "person" => dancers[0].id.to_s, "state" => "present",
             "minute" => 1085 }
    answer = App::Room::Actions::TakeIn.new(later, director, [sent], local).run.first
    expect([answer[:status], answer[:why]]).to match [:refused, /nothing is kept before/]
  end
end
