# frozen_string_literal: true

require "web_helper"

# What the team gets by mail: at once outside the quiet hours, in one letter a day, or not at all; with calls for the
# calendar; and the page from which each chooses, without signing in.
RSpec.describe "mail to the team", :web do
  let(:studio) { make_studio.tap { |made| made.update!(time_zone: "Europe/London") } }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:teacher) { studio.people.find_by!(name: "Odalys") }
  let!(:odalys) { piece && make_member(studio, "choreographer", name: "Odalys", person: teacher) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram]) }

  def tell
    make_season(studio) if studio.rehearsals.none?
    plan = App::Planning::Actions::Make.new(piece, nil, studio.local(NOW)).run
    App::Planning::Actions::Publish.new(plan, App::Shared::Clock.now).run
  end

  def mails = studio.mails.order(:id)

  def eml(mail)
    App::Jobs::Deliver.run(mail.id)
    Mail.read(File.join(Settings.files_dir, "outbox", "#{mail.id}.eml"))
  end

  def at(text) = App::Shared::Clock.frozen_at = Time.iso8601("2027-02-02T#{text}Z")
  def choose(**ways) = odalys.update!(mail_ways: ways.transform_keys(&:to_s))
  def jobs = Records::Base.connection.select_rows("SELECT args->>0, run_at FROM que_jobs")

  def mail_out(topic: "joins", **more)
    values = { piece: "P", join: "A into B", by: "M", words: "", link: "http://x/" }
    App::Shared::Post.new(studio).tell(odalys.reload, topic:, template: "join_agreed", **values, **more)
  end

  it "carries all calls of whoever it is to, as a calendar takes them" do
    at "10:00:00"
    tell
    mail = mails.find_by!(recipient: odalys.account.email)
    message = eml(mail)
    expect(message.parts.map(&:mime_type)).to eq ["text/plain", "text/calendar"]
    events = Icalendar::Calendar.parse(message.attachments.first.decoded).first.events
    slots = studio.slots.joins(:slot_people).where(slot_people: { person_id: teacher.id })
    expect(events.map { |event| event.dtstart.to_date }.uniq)
      .to match_array(slots.includes(:rehearsal).map { |slot| slot.rehearsal.date }.uniq)
    key = studio.calendar_links.issue(person_id: teacher.id).last
    get "/calendar/#{key}.ics"
    feed = Icalendar::Calendar.parse(last_response.body).first.events
    expect(feed.map { |event| event.uid.to_s }).to match_array(events.map { |event| event.uid.to_s })
    expect(message["List-Unsubscribe"].to_s).to include "/mail/#{odalys.reload.mail_token}"
    expect(message.text_part.decoded).to include("Winter Piece").and include "/mail/#{odalys.mail_token}"
  end

  it "names nobody any more who was erased, in what it says and in what it carries" do
    at "10:00:00"
    tell
    mail = mails.find_by!(recipient: odalys.account.email)
    eml(mail)
    expect(App::Shared::MailFile.text(mail)).to include "X-WR-CALNAME"
    odalys.destroy!
    places = App::People::Erasing::Places.new(studio, teacher)
    App::People::Actions::Erase.new(teacher, "Odalys", seen: places.digest, take: places.all.map(&:key)).run
    expect(App::Shared::MailFile.text(mail.reload)).not_to include "Odalys"
  end

  it "waits in the quiet hours, and not outside them" do
    studio.update!(settings: { "quiet_from" => 1290, "quiet_to" => 420 })
    { "21:29:00" => nil, "21:30:00" => "2027-02-03T07:00:00Z", "23:59:00" => "2027-02-03T07:00:00Z",
      "05:00:00" => "2027-02-02T07:00:00Z", "07:00:00" => nil }.each do |time, later|
      at time
      expect(mail_out.send_after&.iso8601).to eq(later), time
    end
    studio.update!(settings: { "quiet_from" => 0, "quiet_to" => 0 })
    at "03:00:00"
    expect(mail_out.send_after).to be_nil
    expect(mail_out(topic: "notes")).to have_attributes(held: true, delivered_at: nil, send_after: nil)
  end

  it "goes in one letter a day, in the morning, with everything that waited and nothing twice" do
    choose joins: "daily"
    at "15:00:00"
    mail_out
    mail_out(join: "B into C")
    letters = -> { mails.where(topic: "daily") }
    at "15:10:00"
    App::Jobs::DailyLetter.run(App::Shared::Clock.now)
    expect(letters.call.map(&:subject)).to eq ["#{studio.name}: 2 things for you"]
    expect(letters.call.first.body).to include("A into B").and include("B into C")
    expect(letters.call.first.body.scan("Hello").size).to eq 1
    mail_out(join: "C into D")
    at "18:00:00"
    2.times { App::Jobs::DailyLetter.run(App::Shared::Clock.now) }
    expect(letters.call.size).to eq 1
    App::Shared::Clock.frozen_at = Time.iso8601("2027-02-03T06:59:00Z")
    App::Jobs::DailyLetter.run(App::Shared::Clock.now)
    expect(letters.call.size).to eq 1
    App::Shared::Clock.frozen_at = Time.iso8601("2027-02-03T07:01:00Z")
    App::Jobs::DailyLetter.run(App::Shared::Clock.now)
    expect(letters.call.last.body).to include("C into D").and(satisfy { |body| !body.include?("A into B") })
    expect(Records::Mail.waiting).to be_empty
  end

  it "is chosen from the mail itself, without signing in, and holds from then on" do
    at "15:00:00"
    mail_out
    path = URI(eml(mails.last)["List-Unsubscribe"].to_s[/http[^>]+/]).path
    clear_cookies
    page = Nokogiri::HTML(get(path).body)
    expect(page.css("select").map { |each| each["name"] }).to match_array(
      Records::Membership::TOPICS.keys.map { |topic| "ways[#{topic}]" }
    )
    expect(page.text).not_to include odalys.account.email
    send_form path, { "ways" => { "joins" => "never", "calls" => "hourly", "other" => "now" } }
    expect(odalys.reload.mail_ways).to eq("joins" => "never")
    expect(mail_out).to be_nil
    expect(mail_out(topic: "steps")).to be_a Records::Mail
    expect(get("#{path}x").status).to eq 404
  end

  it "tells whose sign-off is wanted, who is asked, and who missed what they were called to" do
    at "15:00:00"
    studio.update!(settings: { "self_reports" => true })
    walk = piece.sections.first
    ada = dancers.first
    report = App::MyPart::Actions::Report.new(ada, { "piece" => piece.id.to_s, "item" => "s#{walk.id}", "rung" => "3" },
                                              App::Shared::Clock.now)
    2.times { report.run }
    App::MyPart::Actions::AskTeacher.new(ada, piece.links.first, "which arm?").run
    expect(mails.map { |mail| [mail.recipient, mail.topic, mail.held] })
      .to eq [[odalys.account.email, "sign_offs", true], [odalys.account.email, "notes", true]]
    expect(mails.first.body).to include("Ada Test says of Opening Walk: at tempo")
    tell
    rehearsal = studio.slots.joins(:slot_people).where(slot_people: { person_id: teacher.id }).first.rehearsal
    studio.attendances.create!(rehearsal:, person: teacher, present: false, by_name: "M")
    App::Shared::Clock.frozen_at = (rehearsal.date + 1).to_time(:utc)
    sign_in director
    2.times { send_form "/rehearsals/#{rehearsal.id}/afterwards", {} }
    missed = mails.where("subject LIKE '%not there%'")
    expect(missed.map(&:recipient)).to eq [odalys.account.email]
    expect(missed.first.body).to include "Opening Walk"
  end
end
