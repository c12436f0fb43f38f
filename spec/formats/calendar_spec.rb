# frozen_string_literal: true

require "spec_helper"
require_relative "../../formats/calendar"

# Calendars out and in: zones with summer time, what repeats, what is not meant, and files that are none.
RSpec.describe Formats::Calendar do
  let(:days) { Date.new(2027, 1, 1)..Date.new(2027, 12, 31) }

  def event(uid: "call-1@x", date: Date.new(2027, 2, 2), start: 1080, finish: 1170, **more)
    described_class::Event.new(uid:, date:, start:, finish:, summary: "Winter Piece", cancelled: false, sequence: 1,
                               changed_at: Time.utc(2027, 1, 5, 12), **more)
  end

  def render(*events, zone: "Europe/London") = described_class.render(events, name: "Ada", zone:)
  def read(text, zone: "Europe/London") = described_class.parse(text, zone:, days:)

  def wrapped(*lines)
    ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//other//EN", *lines, "END:VCALENDAR", ""].join("\r\n")
  end

  def vevent(*lines) = wrapped("BEGIN:VEVENT", "UID:1", "SUMMARY:Choir", *lines, "END:VEVENT")
  def busy(text, **more) = read(text, **more).busy.map { |each| [each.date.to_s, each.start, each.finish] }

  it "writes times in their zone, with its summer time, a stable key, a growing number, and what fell away" do
    text = render(event, event(uid: "call-2@x", date: Date.new(2027, 7, 6), cancelled: true, sequence: 4))
    expect(text).to include("DTSTART;TZID=Europe/London:20270202T180000").and include("UID:call-1@x")
    expect(text).to include("STATUS:CANCELLED").and include("SEQUENCE:4").and include("BEGIN:DAYLIGHT")
    expect(text).to include("X-WR-CALNAME:Ada")
    expect(text.lines.map { |line| line.chomp.bytesize }.max).to be <= 75
    expect(text.split("\r\n").last).to eq "END:VCALENDAR"
  end

  it "reads back what it wrote, in the same zone and in another one" do
    each_case(60) do |random|
      date = Date.new(2027, 1, 1) + random.rand(0..360)
      start = random.rand(0..1380)
      finish = start + random.rand(5..60)
      text = render(event(date:, start:, finish: [finish, 1440].min))
      expect(busy(text)).to eq [[date.to_s, start, [finish, 1440].min]]
    end
    noon = render(event(date: Date.new(2027, 7, 6), start: 720, finish: 780))
    expect(busy(noon, zone: "America/New_York")).to eq [["2027-07-06", 420, 480]]
    expect(busy(noon, zone: "Asia/Tokyo")).to eq [["2027-07-06", 1200, 1260]]
  end

  it "keeps names that other scripts and sharp signs are in" do
    name = "Ωδή; \"Drift\", \\ Зима – 1,2\nтри"
    text = render(event(summary: name, place: "Long; Room"))
    expect(read(text).busy.map(&:summary)).to eq [name]
  end

  it "takes whole days, several of them, and what goes over midnight" do
    expect(busy(vevent("DTSTART;VALUE=DATE:20270301", "DTEND;VALUE=DATE:20270303")))
      .to eq [["2027-03-01", nil, nil], ["2027-03-02", nil, nil]]
    expect(busy(vevent("DTSTART;VALUE=DATE:20270301"))).to eq [["2027-03-01", nil, nil]]
    expect(busy(vevent("DTSTART:20270301T223000", "DTEND:20270302T013000")))
      .to eq [["2027-03-01", 1350, 1440], ["2027-03-02", 0, 90]]
    expect(busy(vevent("DTSTART:20270301T120000Z", "DTEND:20270301T130000Z"), zone: "Asia/Tokyo"))
      .to eq [["2027-03-01", 1260, 1320]]
  end

  it "writes out what repeats, by the clock of its own zone through summer time, without what was moved or left out" do
    weekly = vevent("DTSTART;TZID=Europe/London:20270322T180000", "DTEND;TZID=Europe/London:20270322T190000",
                    "RRULE:FREQ=WEEKLY;COUNT=4", "EXDATE;TZID=Europe/London:20270405T180000")
    expect(busy(weekly)).to eq [["2027-03-22", 1080, 1140], ["2027-03-29", 1080, 1140], ["2027-04-12", 1080, 1140]]
    away = busy(weekly, zone: "America/New_York")
    expect(away.map { |_, start, _| start }).to eq [840, 780, 780]
    moved = wrapped(
      "BEGIN:VEVENT", "UID:a", "SUMMARY:Choir", "DTSTART:20270301T180000", "DTEND:20270301T190000",
      "RRULE:FREQ=DAILY;COUNT=3", "END:VEVENT",
      "BEGIN:VEVENT", "UID:a", "SUMMARY:Choir", "RECURRENCE-ID:20270302T180000",
      "DTSTART:20270302T200000", "DTEND:20270302T210000", "END:VEVENT"
    )
    expect(busy(moved)).to eq [["2027-03-01", 1080, 1140], ["2027-03-02", 1200, 1260], ["2027-03-03", 1080, 1140]]
    yearly = vevent("DTSTART;VALUE=DATE:20200504", "RRULE:FREQ=YEARLY")
    expect(busy(yearly)).to eq [["2027-05-04", nil, nil]]
  end

  it "says what it leaves out: what is free, fell away, or repeats without end" do
    expect(read(vevent("DTSTART:20270301T180000", "TRANSP:TRANSPARENT")).left_out).to eq [["Choir", :free]]
    expect(read(vevent("DTSTART:20270301T180000", "STATUS:CANCELLED")).left_out).to eq [["Choir", :cancelled]]
    expect(read(vevent("SUMMARY:No time")).left_out.map(&:last)).to eq [:unclear]
    often = read(vevent("DTSTART:20270101T000000", "DTEND:20270101T000100", "RRULE:FREQ=MINUTELY"))
    expect([often.left_out.map(&:last), often.busy]).to eq [[:endless], []]
    daily = read(vevent("DTSTART;VALUE=DATE:20100101", "RRULE:FREQ=DAILY"))
    expect([daily.busy.size, daily.busy.first.date]).to eq [365, days.begin]
  end

  it "says of what is no calendar what is wrong with it" do
    faults = ["", "hello", "PK\x03\x04", "BEGIN:VCARD\r\nEND:VCARD", "BEGIN:VCALENDAR\xFF\xFE",
              "BEGIN:VCALENDAR#{'x' * Formats::Calendar::BusyTimes::BYTES}"].map { |text| read(text).fault }
    expect(faults).to eq %i[kind kind kind kind encoding large]
  end

  it "survives files that were cut, mixed up or made to hurt, and answers in time" do
    good = vevent("DTSTART;TZID=Europe/London:20270322T180000", "DTEND;TZID=Europe/London:20270322T190000",
                  "RRULE:FREQ=WEEKLY;COUNT=4", "EXDATE;TZID=Europe/London:20270405T180000")
    each_case(300) do |random|
      text = mangled(good, random)
      found = read(text)
      expect(found.busy.size).to be <= 2000
      expect(found.busy).to all(have_attributes(date: be_between(days.begin, days.end)))
    end
  end

  def mangled(text, random)
    case random.rand(6)
    when 0 then text[0, random.rand(0..text.size)]
    when 1 then text.lines.shuffle(random:).join
    when 2 then text.sub(/\d{4}/) { random.rand(0..9999).to_s }
    when 3 then text.tr("0-9", random.rand(0..9).to_s)
    when 4 then text.sub("WEEKLY", %w[SECONDLY HOURLY BANANA YEARLY].sample(random:))
    else text.dup.tap { |copy| 5.times { copy[random.rand(copy.size)] = random.rand(32..255).chr("UTF-8") } }
    end
  end
end
