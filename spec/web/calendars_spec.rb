# frozen_string_literal: true

require "web_helper"

# Calls in calendars elsewhere: private addresses of people, pieces and rooms, what stands there, and taking them back.
RSpec.describe "calendars", :web do
  let(:studio) { make_studio.tap { |made| made.update!(time_zone: "Europe/London") } }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram]) }
  let(:ada) { dancers.first }

  before do
    make_season(studio)
    tell
    sign_in director
  end

  def tell
    App::Planning::Actions::Publish.new(App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run, NOW).run
  end

  # The path of a fresh address.
  def address(of)
    send_form "/calls/calendars", { "of" => of }
    URI(follow_redirect!.body[/http\S+\.ics/]).path
  end

  def events(path)
    get path
    Icalendar::Calendar.parse(last_response.body).first.events
  end

  def times(path)
    events(path).to_h do |event|
      [event.dtstart.to_date, [event.dtstart, event.dtend].map do |at|
        at.strftime("%H:%M")
      end]
    end
  end

  it "tells a person's own calls, a piece's rehearsals and what a room is used for, under keys that stay" do
    person = address("person:#{ada.id}")
    of_piece = address("piece:#{piece.id}")
    room = address("room:#{studio.rooms.first.id}")
    get person
    expect(last_response.headers["content-type"]).to start_with "text/calendar"
    expect(last_response.body).to include("TZID=Europe/London").and include("SUMMARY:Winter Piece")
    expect(last_response.body).not_to include studio.rooms.first.name
    sheet = App::Calls::Pages::CallSheet.new(studio.rehearsals.order(:date).first, director, studio.local(NOW))
    call = sheet.calls.find { |each| each.person == ada }
    expect(times(person)[sheet.rehearsal.date]).to eq([call.arrive, call.release].map { |minute|
      Formats::Times.clock(minute)
    })
    expect(events(of_piece).size).to be >= events(person).size
    expect(events(room)).not_to be_empty
    keys = events(person).map { |event| event.uid.to_s }
    numbers = events(person).map { |event| event.sequence.to_i }
    tell
    expect(events(person).map { |event| event.uid.to_s } & keys).to eq keys
    expect(events(person).map { |event| event.sequence.to_i }.min).to be > numbers.max
    studio.update!(settings: { "rooms_in_calendars" => true })
    expect(get(person).body).to include studio.rooms.first.name
  end

  it "says what was cancelled, and is answered with nothing new where nothing is" do
    path = address("person:#{ada.id}")
    get path
    get path, {}, { "HTTP_IF_NONE_MATCH" => last_response.headers["etag"] }
    expect(last_response.status).to eq 304
    studio.rehearsals.order(:date).first.update!(cancelled_at: NOW)
    first = events(path).min_by { |event| event.dtstart.to_date }
    expect([first.status.to_s, events(path).count { |event| event.status == "CANCELLED" }]).to eq ["CANCELLED", 1]
  end

  it "has keys and numbers that only stay or grow: when it comes back, moves house, or loses what another piece had" do
    path = address("person:#{ada.id}")
    rehearsal = studio.rehearsals.order(:date).first
    number = -> { events(path).min_by { |event| event.dtstart.to_date }.then { |e| [e.uid.to_s, e.sequence.to_i] } }
    seen = [number.call]
    sign_in director
    %w[yes no yes no].each do |off|
      send_form "/rehearsals/#{rehearsal.id}/cancel", { "to" => off }
      seen << number.call
    end
    allow(Settings).to receive(:app_url).and_return("https://elsewhere.example")
    path = address("person:#{ada.id}")
    tell
    seen << number.call
    expect(seen.map(&:first).uniq.size).to eq 1
    expect(seen.map(&:last)).to eq seen.map(&:last).uniq.sort
    rehearsal.update!(cancelled_at: nil)
    expect(number.call.last).to eq seen.last.last
  end

  it "can be taken back, ends with a person, and opens nothing of another studio" do
    path = address("person:#{ada.id}")
    again = address("person:#{ada.id}")
    expect([get(path).status, get(again).status]).to eq [404, 200]
    send_form "/calls/calendars/#{studio.calendar_links.given.last.id}/revoke", {}
    expect(get(again).status).to eq 404
    third = address("person:#{ada.id}")
    ada.update!(archived_at: NOW)
    expect([get(third).status, get("/calendar/nonsense.ics").status]).to eq [404, 404]
    other = make_studio.people.create!(name: "Zed")
    send_form "/calls/calendars", { "of" => "person:#{other.id}" }
    expect(follow_redirect!.body).to include "Say what the address is for."
  end

  it "is read for when somebody is away: looked at first, then taken without its reasons, and once" do
    lines = ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//other//EN",
             "BEGIN:VEVENT", "UID:1", "SUMMARY:Choir", "DTSTART:20270301T180000", "DTEND:20270301T190000",
             "RRULE:FREQ=WEEKLY;COUNT=2", "END:VEVENT", "BEGIN:VEVENT", "UID:2", "SUMMARY:Maybe",
             "DTSTART:20270303T180000", "TRANSP:TRANSPARENT", "END:VEVENT", "END:VCALENDAR", ""]
    file = Rack::Test::UploadedFile.new(StringIO.new(lines.join("\r\n")), "text/calendar", original_filename: "a.ics")
    send_form "/people/#{ada.id}/calendar", { "file" => file }
    body = last_response.body
    expect(body).to include("Mon 1 Mar, 18:00 – 19:00").and include("Mon 8 Mar")
    expect(body).to include("Maybe: it counts as free there")
    expect(ada.absences).to be_empty
    days = body.scan(/name="days\[\]" value="([^"]+)"/).flatten
    2.times { send_form "/people/#{ada.id}/calendar/take", { "days" => [*days, "2027-13-40||", "2027-03-01|900|800"] } }
    expect(ada.absences.order(:from_date).pluck(:from_date, :from_minute, :to_minute))
      .to eq [[Date.new(2027, 3, 1), 1080, 1140], [Date.new(2027, 3, 8), 1080, 1140]]
    wrong = Rack::Test::UploadedFile.new(StringIO.new("PK\x03\x04"), "text/calendar", original_filename: "a.ics")
    send_form "/people/#{ada.id}/calendar", { "file" => wrong }
    expect([last_response.status, last_response.body]).to match [422, include("This is no calendar file.")]
  end

  it "ends what would repeat without an end, or has exceptions without number, and says so" do
    sign_in director
    never = "RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30"
    many = Array.new(30_000) { |i| "EXDATE:2027#{format('%04d', 101 + (i % 28))}T180000Z" }
    [[[never], /repeats without an end/], [many, /one with 2,000 exceptions/]].each do |rules, words|
      text = ["BEGIN:VCALENDAR", "BEGIN:VEVENT", "UID:1", "DTSTART:20270101T180000Z", *rules, "END:VEVENT",
              "END:VCALENDAR"].join("\r\n")
      file = Rack::Test::UploadedFile.new(StringIO.new(text), "text/calendar", original_filename: "odd.ics")
      send_form "/people/#{ada.id}/calendar", { "file" => file }
      expect([last_response.status, last_response.body]).to match [422, words]
    end
  end

  it "is made by a dancer on their own page, shown once, and taken back there" do
    mine = "/my/#{ada.person_links.issue(studio_id: studio.id).last}"
    send_form "#{mine}/calendar", {}
    path = URI(follow_redirect!.body[/http\S+\.ics/]).path
    expect(get(mine).body).not_to include ".ics"
    expect(events(path)).not_to be_empty
    send_form "#{mine}/calendar/revoke", {}
    expect(get(path).status).to eq 404
  end

  it "ends with the private link behind which it was made, and goes on behind a new one where that is said" do
    make = lambda do
      send_form "/my/#{ada.person_links.issue(studio_id: studio.id).last}/calendar", {}
      URI(follow_redirect!.body[/http\S+\.ics/]).path
    end
    director_made = App::Calls::Actions::GiveCalendar.new(studio, "piece:#{piece.id}", NOW).run.value
    path = make.call
    sign_in director
    expect(get("/people/#{ada.id}").body).to include "its calendar address goes on"
    send_form "/people/#{ada.id}/link", { "calendars" => "go_on" }
    expect(get(path).status).to eq 200
    send_form "/people/#{ada.id}/link", {}
    expect(get(path).status).to eq 404
    path = make.call
    sign_in director
    send_form "/people/#{ada.id}/link/revoke", {}
    expect([get(path).status, get(URI(director_made).path).status]).to eq [404, 200]
  end

  it "stays right through the change of the clocks" do
    studio.rehearsals.order(:date).each_with_index { |row, i| row.update!(date: Date.new(2027, 3, 27) + i) }
    path = address("piece:#{piece.id}")
    found = Formats::Calendar.parse(get(path).body, zone: "Europe/London",
                                                    days: Date.new(2027, 3, 1)..Date.new(2027, 6, 1))
    utc = Formats::Calendar.parse(last_response.body, zone: "UTC", days: Date.new(2027, 3, 1)..Date.new(2027, 6, 1))
    before, after = [found, utc].map { |read| read.busy.first(2).map(&:start) }.transpose
    expect([before.uniq.size, after.reduce(:-)]).to eq [1, 60]
  end
end
