# frozen_string_literal: true

require "web_helper"

# Who can come when: said in words or ticked in a grid, weekly or for single days.
RSpec.describe "who can come when", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:ada) { make_cast(piece).first }
  let(:today) { Date.new(2027, 2, 2) }

  def read(text)
    words = App::People::WordsAway.new(text, today)
    return :unread if words.unread

    words.all.map do |line|
      days = line.weekdays || [line.days.first, line.days.last].uniq.map { |date| date.strftime("%-d.%-m.%y") }
      [days, line.from, line.to].compact
    end
  end

  # What a person comes from is when they are away until; "not" turns it round.
  said = {
    "never Thursdays" => [[[4]]], "from 18:00 on Tuesdays" => [[[2], 1080]], "Mon and Wed until 19" => [[[1, 3], 1140]],
    "not on Fridays" => [[[5]]], "every Thursday" => [[[4]]], "Thursday" => [[["4.2.27"]]], "Thursdays" => [[[4]]],
    "15 Dec" => [[["15.12.27"]]], "15 Dec to 2 Jan" => [[["15.12.27", "2.1.28"]]],
    "15-18 Dec" => [[["15.12.27", "18.12.27"]]], "1 to 5 March" => [[["1.3.27", "5.3.27"]]],
    "not after 19:00 on 9 Feb" => [[["9.2.27"], 1140]], "Tuesdays from 6pm" => [[[2], 1080]],
    "away from 18:00 on Tuesdays" => [[[2], 1080]], "2027-03-01 to 2027-03-07" => [[["1.3.27", "7.3.27"]]],
    "15 Dec, 19 Dec and 4 Jan" => [[["15.12.27"]], [["19.12.27"]], [["4.1.28"]]], "15.12." => [[["15.12.27"]]],
    "tomorrow" => [[["3.2.27"]]], "never Mondays; Feb 20th" => [[[1]], [["20.2.27"]]], "30 Feb" => :unread,
    "holidays" => :unread, "15 Dec to 2 Dec 2027" => :unread, "never Thursdays; when it rains" => :unread
  }
  it "is read as people write it" do
    expect(said.keys.to_h { |text| [text, read(text)] }).to eq said
    turned = ["from 18:00 on Tuesdays", "away from 18:00 on Tuesdays", "not before 18:00 on Tuesdays"]
    spans = turned.map { |text| App::People::WordsAway.new(text, today).all.first.then { |l| [l.from, l.to] } }
    expect(spans).to eq [[nil, 1080], [1080, nil], [nil, 1080]]
  end

  it "keeps habits for the rehearsals there are and those to come, until it is no longer so" do
    make_season(studio, last: "2027-02-16")
    sign_in director
    send_form "/people/#{ada.id}/away", { "words" => "from 18:30 on Tuesdays\n4 Mar" }
    make_season(studio, rooms: [["Loft", 20]], first: "2027-02-23", last: "2027-02-23")
    get "/people/#{ada.id}"
    expect(last_response.body).to include "on Tuesdays from 18:30", "Thu 4 Mar"
    rows = ada.absences.order(:from_date).pluck(:from_date, :to_minute)
    expect(rows.map { |date, minute| [date.day, minute] })
      .to eq [[2, 1110], [9, 1110], [16, 1110], [23, 1110], [4, nil]]
    send_form "/people/#{ada.id}/habits/#{ada.habits.first.id}/delete", {}
    expect(ada.absences.pluck(:from_date)).to eq [Date.new(2027, 3, 4)]
  end

  it "keeps nothing while a phrase is not understood, and what was typed stands in the field" do
    sign_in director
    send_form "/people/#{ada.id}/away", { "words" => "never Thursdays; when it rains" }
    expect(last_response.status).to eq 422
    expect(CGI.unescapeHTML(last_response.body))
      .to include "“when it rains”", "never Thursdays; when it rains</textarea>"
    expect([ada.habits.count, ada.absences.count]).to eq [0, 0]
  end

  it "is ticked in a grid: only what was changed there, a day out of a week leaves the rest" do
    make_season(studio, last: "2027-02-16")
    week = ada.absences.create!(studio:, from_date: "2027-02-08", to_date: "2027-02-10")
    sign_in director
    get "/season/who"
    page = Nokogiri::HTML(last_response.body)
    ticked = page.css("input[type=checkbox][checked]").map { |box| [box["name"], box["value"]] }
    expect(ticked).to eq [["away[#{ada.id}][]", "2027-02-09"]]
    bo = studio.people.find_by!(name: "Bram Test")
    bo.absences.create!(studio:, from_date: "2027-02-16", to_date: "2027-02-16") # said by somebody else meanwhile
    id = ada.id.to_s
    send_form "/season/who", { "away" => { id => ["2027-02-16"] }, "was" => { id => ["2027-02-09"] } }
    expect(studio.absences.exists?(week.id)).to be false
    expect(ada.absences.order(:from_date).map { |row| [row.from_date.day, row.to_date.day] })
      .to eq [[8, 8], [10, 10], [16, 16]]
    expect(bo.absences.count).to eq 1
  end
end
