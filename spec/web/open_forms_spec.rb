# frozen_string_literal: true

require "web_helper"
require "support/route_world"
require "support/concurrently"

# Two people with the same form open: nothing that one of them saved is taken away by the other in silence.
RSpec.describe "forms that two people have open", :web do
  include RouteWorld
  include Concurrently

  before { sign_in members["director"] }

  describe App::Shared::OpenForm do
    let(:now) { { "a" => "1", "b" => "2", "c" => "3" } }

    def form(was, sent, units: [])
      described_class.new(now, sent: { **sent, "was" => JSON.generate(was) }, units:)
    end

    it "keeps what was not touched, takes what one touched, and shows both where two did" do
      was = { "a" => "1", "b" => "0", "c" => "0" }
      merged = form(was, { "a" => "9", "b" => "0", "c" => "3" })
      expect([merged.merged, merged.conflicts]).to eq [{ "a" => "9", "b" => "2", "c" => "3" }, []]
      expect(form(was, { "b" => "5" }).conflicts.map(&:to_a)).to eq [%w[b 5 2]]
    end

    it "takes fields together that mean something only together" do
      was = { "a" => "1", "b" => "0", "c" => "3" }
      apart = form(was, { "a" => "9" })
      together = form(was, { "a" => "9" }, units: [%w[a b]])
      expect([apart.conflicts, together.conflicts.map(&:name)]).to eq [[], %w[a b]]
    end

    it "sets a form without a memory against what stands, and takes line ends and blanks for nothing" do
      forgotten = described_class.new(now, sent: { "a" => "1", "b" => "7" })
      expect(forgotten.conflicts.map(&:name)).to eq ["b"]
      lines = described_class.new({ "x" => "1\n2" }, sent: { "x" => "1\r\n2 ", "was" => JSON.generate("x" => "1\n2") })
      expect([lines.touched, lines.conflicts]).to eq [[], []]
    end
  end

  # Each: where it is sent, what the first and the second change, what then stands, and what a second one that changes
  # the same as the first is told.
  def forms
    ids
    join_note = -> { piece.join_facts.first&.then { |row| [row.owner_id, row.note] } }
    other = studio.people.find_or_create_by!(name: "Third") { |person| person.teaches = true }
    {
      "wishes" => [
        "#{base}/plan/wishes", { "full_runs" => "2" }, { "ready_days" => "9" },
        -> { piece.reload.settings.slice("full_runs", "ready_days") }, { "full_runs" => 2, "ready_days" => 9 },
        { "full_runs" => "4" }
      ],
      "the opening" => [
        "#{base}/ends/opening", { "pose" => "low" }, { "starts" => "a breath" },
        -> { piece.reload.setting("opening") }, { "pose" => "low", "starts" => "a breath" }, { "pose" => "high" }
      ],
      "a join's owner and note" => [
        "#{base}/joins/1/owner", { "owner" => other.id.to_s }, { "note" => "in canon" },
        join_note, [other.id, "in canon"], { "owner" => teacher.id.to_s }
      ],
      "the music" => [
        "#{base}/music", { "title" => "Summer" }, { "length" => "3:00" },
        -> { [piece.reload.title, piece.track.length_seconds.to_i] }, ["Summer", 180], { "title" => "Autumn" }
      ],
      "the settings" => [
        "/settings", { "warm_up" => "20" }, { "name" => "Other name" },
        -> { [studio.reload.setting("warm_up"), studio.name] }, [20, "Other name"], { "warm_up" => "25" }
      ],
      "a group" => [
        "#{base}/groups/#{group.id}", { "name" => "Gulls" }, { "leader" => dancer.id.to_s },
        -> { [group.reload.leader_id, group.name] }, [dancer.id, "Gulls"], { "name" => "Terns" }
      ],
      "visits" => [
        "/people/#{teacher.id}/visits", { "dates" => "2027-02-09" }, { "dates" => "2027-02-16" },
        -> { teacher.visits.order(:date).pluck(:date).map(&:to_s) }, %w[2027-02-09 2027-02-16], nil
      ],
      "the floor" => [
        "#{base}/floor", { "width" => "10" }, { "depth" => "7" },
        -> { piece.reload.setting("floor") }, { "width" => 10.0, "depth" => 7.0 }, { "width" => "11" }
      ]
    }
  end

  def base = "/pieces/#{piece.id}"
  def group = piece.groups.first
  def words = CGI.unescapeHTML(last_response.body)

  it "both keep what they changed" do
    forms.each do |name, (path, first, second, standing, expected, _)|
      was = path.end_with?("/wishes") ? App::Planning::WishesForm.of(piece.reload).was : opened(path)
      [first, second].each { |change| send_form path, { "was" => was, **change } }
      expect(standing.call).to eq(expected), "#{name}: #{standing.call}"
    end
  end

  it "are shown both where they changed the same, and what was typed stays" do
    forms.each_value do |path, first, _, standing, _, same|
      next unless same

      was = path.end_with?("/wishes") ? App::Planning::WishesForm.of(piece.reload).was : opened(path)
      send_form path, { "was" => was, **first }
      before = standing.call
      send_form path, { "was" => was, **same }
      told = last_response.redirect? ? get(last_response.headers["location"]) && words : words
      expect(told).to include(I18n.t("forms.both")), path
      expect(standing.call).to eq(before), path
    end
  end

  it "say nothing is saved of what joins are checked for, where nobody knows what the sender saw" do
    checked = -> { [piece.reload.setting("checked_for"), piece.setting("steady_words")] }
    before = checked.call
    send_form "#{base}/joins/checking", { "facing" => "1", "steady" => "1", "was" => '{"weight":"2"}' }
    expect(last_response.status).to eq 409
    expect(words).to include(I18n.t("forms.both"), I18n.t("joins.checking.clear"))
    expect(words).not_to include(I18n.t("joins.checking.saved"))
    expect(checked.call).to eq before
    send_form "#{base}/joins/checking", { "facing" => "1", "steady" => "1", "was" => opened("#{base}/joins/checking") }
    expect(checked.call).to eq [["facing"], true]
  end

  it "are taken when they are sent again after both were seen" do
    path = "#{base}/ends/opening"
    was = opened(path)
    send_form path, { "was" => was, "pose" => "low", "starts" => "a breath" }
    send_form path, { "was" => was, "pose" => "high", "starts" => "" }
    expect(last_response.status).to eq 409
    form = Nokogiri::HTML(last_response.body).at_css("form[action^='#{path}']")
    shown = %w[pose starts was].to_h { |name| [name, form.at_css("input[name=#{name}]")["value"]] }
    expect(shown).to include("pose" => "high", "starts" => "a breath")
    send_form path, shown
    expect(piece.reload.setting("opening")).to eq("pose" => "high", "starts" => "a breath")
  end

  # A page that answers a refused form stands at the form's address, which cannot be asked for.
  it "lead somewhere from the page that shows both" do
    dead = forms.values.flat_map do |path, first, _, _, _, same|
      next [] unless same && !path.end_with?("/wishes")

      was = opened(path)
      [first, same].each { |change| send_form path, { "was" => was, **change } }
      next [] unless last_response.status == 409

      shown = Nokogiri::HTML(last_response.body).css("a[href]").map { |link| link["href"] }
      links = shown.reject { |href| href.start_with?("#") }.map { |href| URI.join("http://x#{path}", href) }
      lost = links.uniq.reject { |link| [200, 302].include?(get(link.request_uri).status) }
      lost.map { |link| "#{path}: #{link.request_uri}" }
    end
    expect(dead).to eq []
  end

  describe "the cast" do
    let(:people) { make_cast(piece, %w[Ada Bram Cleo], group: "Wings") }
    let(:path) { "#{base}/cast" }

    def cast(was, row) = send_form(path, { "was" => was, "groups" => [group.id.to_s], "cast" => row })

    it "is merged row by row, and shows a row that two changed" do
      ada, bram, = people
      was = opened(path)
      cast was, { ada.id.to_s => [""], bram.id.to_s => ["", "in", group.id.to_s] }
      cast was, { ada.id.to_s => ["", "in", group.id.to_s], bram.id.to_s => [""] }
      expect(piece.reload.people.pluck(:name)).to eq ["Cleo Test"]
      cast was, { ada.id.to_s => ["", "in"] }
      expect([last_response.status, words]).to match [409, /Ada Test.*in the piece.*nothing/m]
    end
  end

  describe "the register" do
    let(:rehearsal) { studio.rehearsals.standing.first }
    let(:path) { "/rehearsals/#{rehearsal.id}/register" }
    let(:ada) { make_cast(piece, ["Ada"]).first }
    let(:bram) { make_cast(piece, ["Bram"]).find { |person| person.name.start_with?("Bram") } }

    before do
      [ada, bram]
      ids
      plan = make_plan
      App::Planning::Actions::Publish.new(plan, NOW).run
      plan.slots.work.first.update!(rehearsal:)
      rehearsal.update!(date: NOW.to_date)
      plan.slots.work.first.slot_people.find_or_create_by!(studio:, person: ada) { |row| row.role = "dancer" }
      plan.slots.work.first.slot_people.find_or_create_by!(studio:, person: bram) { |row| row.role = "dancer" }
    end

    def register(was, *absent)
      called = JSON.parse(was).keys.grep(/here:/).map { |name| name.delete_prefix("here:") }
      send_form path, { "was" => was, "here" => called - absent.map { |person| person.id.to_s } }
    end

    def present(person) = rehearsal.attendances.find_by(person:)&.present

    it "is merged person by person: nobody who was marked absent becomes present again" do
      was = opened(path)
      register(was, ada)
      register(was, bram)
      expect([present(ada), present(bram)]).to eq [false, false]
    end

    it "says when what was typed belongs to a slot that is there no longer" do
      was = opened(path)
      slot = piece.reload.published_plan.slots.work.first
      slot.update!(rehearsal: studio.rehearsals.standing.last)
      send_form path, { "was" => was, "here" => [], "minutes" => { slot.id.to_s => "25" } }
      expect([last_response.status, words]).to match [422, /A newer plan was told/]
      expect(rehearsal.attendances.count).to eq 0
    end

    it "is kept person by person when two save at the same moment", :committed do
      was = opened(path)
      saved = [ada, bram].map do |absent|
        lambda do
          own = Records::Membership.find(members["director"].id)
          day = own.studio.rehearsals.find(rehearsal.id)
          here = JSON.parse(was).keys.grep(/here:/).map { |name| name.delete_prefix("here:") } - [absent.id.to_s]
          sheet = App::Calls::Pages::CallSheet.new(day, own, own.studio.local(NOW))
          App::Calls::Actions::KeepRegister.new(sheet, { "was" => was, "here" => here }, own.account).run.ok?
        end
      end
      expect(while_uncommitted(*saved)).to eq [true, true]
      expect([present(ada), present(bram)]).to eq [false, false]
    end
  end

  # On two connections at once: the second waits for the first and reads what it saved.
  describe "at the same moment", :committed do
    it "are merged all the same" do
      was = App::Planning::WishesForm.of(piece).was
      save = lambda do |change|
        own = studio.pieces.find(piece.id)
        App::Planning::Actions::SaveWishes.new(own, { "was" => was, **change }).run.ok?
      end
      answers = while_uncommitted(-> { save.call("full_runs" => "2") }, -> { save.call("ready_days" => "9") })
      expect(answers).to eq [true, true]
      expect(piece.reload.settings.slice("full_runs", "ready_days")).to eq("full_runs" => 2, "ready_days" => 9)
      same = while_uncommitted(-> { save.call("full_runs" => "3") }, -> { save.call("full_runs" => "4") })
      expect(same).to eq [false, false] # both were opened before the two
    end
  end

  # A request remembers what it asked the database; what was read before a row was waited for is read anew.
  describe "where the same was read before the lock", :committed do
    it "are set against what the first one saved" do
      was = App::Piece::MusicForm.of(piece).was
      save = lambda do |length|
        Records::Base.cache do
          own = studio.pieces.find(piece.id)
          account = members["director"].account
          App::Piece::Actions::SaveMusic.new(own, { "was" => was, "length" => length }, account).run.ok?
        end
      end
      expect(while_uncommitted(-> { save.call("3:00") }, -> { save.call("4:00") })).to eq [true, false]
      expect(piece.track.reload.length_seconds).to eq 180
    end
  end

  it "say when a role was changed meanwhile" do
    member = members["assistant"]
    send_form "/memberships/#{member.id}", { "was" => "assistant", "role" => "choreographer" }
    send_form "/memberships/#{member.id}", { "was" => "assistant", "role" => "director" }
    expect(member.reload.role).to eq "choreographer"
  end

  it "name the section that somebody else gave away while a share-out was looked at" do
    section = piece.sections.first
    other = studio.people.create!(name: "Mirela", teaches: true, tape: 2)
    was = App::Piece::SharingForm.of(piece).was
    section.update!(choreographer: nil)
    send_form "#{base}/sharing", { "was" => was, "taught" => { section.id.to_s => other.id.to_s } }
    expect([section.reload.choreographer, get("#{base}/sharing") && words]).to match [nil, /Somebody else gave Opening/]
  end
end
