# frozen_string_literal: true

require "browser_helper"
require "support/relay"

# A dancer's own page on a phone: opened, practised and reported without a network; a guardian; a link that is taken
# back.
RSpec.describe "my part", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director", name: "Ilse") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bram]) }
  let(:ada) { dancers.first }
  let(:link) { piece.links.to_a.first }
  let(:relay) { Relay.new(page.server.port) }

  before do
    studio.update!(settings: { "self_reports" => true })
    piece.track.update!(tempo: [[1, 240]])
    Records::Teaching.create!(studio_id: studio.id, section: link.section, eights: 2, by_name: "M", day: NOW.to_date)
    page.server.boot
    Capybara.app_host = "http://127.0.0.1:#{relay.port}"
    page.current_window.resize_to(390, 844)
  end

  after do
    Capybara.app_host = nil
    relay.close
  end

  def mine(kind = "dancer") = "/my/#{ada.person_links.issue(studio_id: studio.id, kind:).last}"

  # Pages that the phone keeps.
  def kept = page.evaluate_async_script(<<~JS)
    const done = arguments[0];
    caches.open("my-pages").then(cache => cache.keys()).then(keys => done(keys.map(key => new URL(key.url).pathname)));
  JS

  def wait_until_kept(path)
    60.times { kept.include?(path) ? break : sleep(0.25) }
    expect(kept).to include path
  end

  it "opens, counts and reports without a network, and sends the report once it is back" do
    path = mine
    visit path
    ["#{path}/links/#{link.id}", path].each { |one| wait_until_kept(one) }
    relay.cut
    visit "#{path}/links/#{link.id}"
    expect(page).to have_css("h2", text: "My line").and have_css(".untaught")
    click_button "at tempo"
    click_button "Go"
    expect(page).to have_css(".my-line .now").and have_button("Stop")
    expect(page).to have_button("Go", wait: 20)
    visit path
    first(".owed summary", text: "I have it").click
    first(".owed button", text: "slow counts").click
    expect(page).to have_text("1 not sent yet")
    expect(piece.ledger_entries.count).to eq 0
    relay.restore
    page.execute_script("window.dispatchEvent(new Event('online'))")
    expect(page).to have_text("you say: slow counts", wait: 20)
    expect(piece.ledger_entries.pluck(:kind)).to eq ["self_reported"]
    expect(page).to have_no_text("not sent yet")
  end

  it "says why a report was not taken" do
    visit mine
    studio.update!(settings: { "self_reports" => false })
    first(".owed summary", text: "I have it").click
    first(".owed button", text: "slow counts").click
    expect(page).to have_text("Nothing is reported here: your teachers tick what you have.")
    expect(piece.ledger_entries.count).to eq 0
  end

  it "erases the copy on the phone when the link is taken back" do
    path = mine
    visit path
    wait_until_kept(path)
    ada.person_links.update_all(revoked_at: NOW)
    visit path
    expect(page).to have_no_text("What to learn next")
    20.times { kept.empty? ? break : sleep(0.25) }
    expect(kept).to be_empty
    relay.cut
    expect { visit path }.to raise_error(Ferrum::StatusError)
  end

  it "lets a guardian say when a child is away, and remember the chain is asked at once" do
    visit mine("guardian")
    page.execute_script("document.querySelector('[name=from_date]').value = '2027-02-20'")
    click_button "Is away then"
    expect(page).to have_text("Sat 20 Feb")
    expect(ada.absences.count).to eq 1
    visit mine
    click_link "Memory check"
    expect(page).to have_css("fieldset.asked", minimum: 2)
    all("fieldset.asked").each { |asked| asked.first("input").choose }
    click_button "Look"
    expect(page).to have_text("right").and have_link("Once more")
    expect(serious_faults + violations).to eq []
  end
end
