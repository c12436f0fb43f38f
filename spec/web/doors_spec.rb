# frozen_string_literal: true

require "web_helper"
require "socket"

# Coming in, going out, and what leaves the house by mail.
RSpec.describe "doors and the outbox", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }

  def text(path) = get(path).then { CGI.unescapeHTML(last_response.body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " ")) }
  def place = last_response.headers["location"].to_s
  def link(kind) = Records::Mail.order(:id).last.body[%r{/#{kind}/\S+}]

  describe "an invitation" do
    before do
      sign_in director
      send_form "/invitations", { "email" => "new@example.org", "role" => "assistant" }
      clear_cookies
    end

    it "says who invites whom as what, and keeps a name that was typed when the password is too short" do
      path = link("invitation")
      expect(text(path)).to include(studio.name, "as Rehearsal assistant", "new@example.org", "Your name")
      send_form path, { "name" => "Noor Test", "password" => "short" }
      expect([last_response.status, last_response.body]).to match([422, /value="Noor Test"/])
      expect(text("#{path}x")).to include "This link does not work any more"
    end

    it "takes an account that is there with its own password only" do
      other = make_member(make_studio, "director")
      other.account.update!(email: "new@example.org")
      path = link("invitation")
      expect(text(path)).to include "Your password"
      send_form path, { "password" => "not the password" }
      expect([last_response.status, studio.memberships.count]).to eq [422, 1]
      send_form path, { "password" => Studios::PASSWORD }
      expect(studio.memberships.pluck(:account_id)).to include other.account.id
      expect(text("/settings")).to include studio.name
    end

    it "ends after its days" do
      path = link("invitation")
      App::Shared::Clock.frozen_at = NOW + ((Records::Invitation::DAYS + 1) * 86_400)
      send_form path, { "name" => "Noor", "password" => "long enough words" }
      expect([last_response.status, studio.memberships.count]).to eq [422, 1]
    end
  end

  it "mails a way back in to who is known, and says the same to who is not" do
    send_form "/forgot", { "email" => "nobody@example.org" }
    unknown = last_response.body.gsub(/content="[^"]+"|value="[^"]+"|nonce="[^"]+"/, "")
    expect(Records::Mail.count).to eq 0
    send_form "/forgot", { "email" => " #{director.account.email.upcase} " }
    expect(last_response.body.gsub(/content="[^"]+"|value="[^"]+"|nonce="[^"]+"/, "")).to eq unknown
    expect(text(link("reset"))).to include "Set the password"
    App::Shared::Clock.frozen_at = NOW + ((Records::PasswordReset::HOURS + 1) * 3600)
    expect(text(link("reset"))).not_to include "Set the password"
  end

  it "goes out of one place, or of all" do
    sign_in director
    send_form "/sign-out", {}
    expect(get("/").then { place }).to end_with "/sign-in"
    sign_in director
    here = rack_mock_session.cookie_jar["rack.session"] || rack_mock_session.cookie_jar.to_hash.values.first
    send_form "/sign-out-everywhere", {}
    expect([here.nil?, get("/").then { place }]).to match([false, /sign-in\z/])
  end

  it "opens the demo's doors only for people of the demo" do
    demo = make_member(Records::Studio.create!(name: "Made up", demo: true), "assistant", name: "Made Up")
    send_form "/demo/enter", { "account" => director.account_id.to_s }
    expect(last_response.status).to eq 404
    send_form "/demo/enter", { "account" => demo.account_id.to_s }
    expect(text("/settings")).to include "Made up"
    expect(App::Demo::Doors.new.text).to include(demo.account.email, "/my/demo-#{demo.studio_id}")
  end

  it "lets somebody leave a studio, who then sees nothing of it" do
    director
    assistant = make_member(studio, "assistant")
    sign_in assistant
    send_form "/leave", {}
    expect(place).to end_with "/studios"
    expect(text("/studios")).to include "You left #{studio.name}"
    expect([studio.memberships.count, text("/studios").include?(studio.name)]).to eq [1, false]
  end

  it "reads an uploaded roster in the letters it was written in, and shows it before anything is taken in" do
    sign_in director
    piece = make_piece(studio, director)
    file = Tempfile.new(["roster", ".csv"])
    file.binmode
    file.write("Name;Groups\nZo\xEB Test;Wings\nAn\xEFs Test;Wings\n".b)
    file.close
    post "/roster/preview",
         { "piece" => piece.id.to_s, "file" => Rack::Test::UploadedFile.new(file.path, "text/csv") },
         { "HTTP_X_CSRF_TOKEN" => token }
    expect(last_response.body).to include("Zoë Test", "Anïs Test")
    expect(studio.people.where("name LIKE '%Test'").count).to eq 0
  end

  it "keeps whoever joined the cast while the table stood open, and a group made meanwhile" do
    sign_in director
    piece = make_piece(studio, director)
    ada, bram = make_cast(piece, %w[Ada Bram], group: "Wings")
    wings = piece.groups.first
    was = opened("/pieces/#{piece.id}/cast")
    late = make_cast(piece, %w[Cleo], group: "Late").last
    late_group = piece.groups.find_by!(name: "Late")
    Records::GroupMember.create!(studio:, group: late_group, person: ada)
    cast = { ada.id.to_s => ["", "in"], bram.id.to_s => [""] }
    send_form "/pieces/#{piece.id}/cast", { "was" => was, "groups" => [wings.id.to_s], "cast" => cast }
    expect(piece.reload.people.order(:name).pluck(:name)).to eq ["Ada Test", "Cleo Test"]
    expect([wings.people.to_a, late_group.people.order(:name).to_a]).to eq [[], [ada, late]]
  end

  # A mail desk of one conversation on this machine: answers what was said to it.
  def mail_desk
    server = TCPServer.new("127.0.0.1", 0)
    said = Queue.new
    thread = Thread.new do
      client = server.accept
      client.puts "220 desk\r"
      body = false
      while (line = client.gets)
        said << line.chomp
        body = false if line == ".\r\n"
        next if body

        body = line.start_with?("DATA")
        client.puts(
          (
            if line.start_with?("EHLO")
              "250 desk\r"
            else
              { "DATA" => "354 go on\r", "QUIT" => "221 bye\r" }.fetch(line[0, 4], "250 ok\r")
            end
          )
        )
        break if line.start_with?("QUIT")
      end
    end
    yield server.addr[1]
    thread.join(5)
    Array.new(said.size) { said.pop }
  ensure
    server&.close
  end

  it "hands the outbox to a mail server where one is set, and keeps the mail for another time when it is not there" do
    mail =
      App::Shared::Post.new(studio).send_out(
        to: "a@example.org",
        template: "invitation",
        studio: "S",
        role: "assistant",
        link: "x"
      )
    allow(Settings).to receive(:smtp).and_return("smtp://127.0.0.1:1")
    expect { App::Jobs::Deliver.run(mail.id) }.to raise_error(SystemCallError)
    expect(mail.reload.delivered_at).to be_nil
    said = mail_desk do |port|
      allow(Settings).to receive(:smtp).and_return("smtp://127.0.0.1:#{port}")
      App::Jobs::Deliver.run(mail.id)
    end
    expect(said).to include("RCPT TO:<a@example.org>", a_string_starting_with("Subject: S invites you"))
    expect(mail.reload.delivered_at).to eq NOW
  end
end
