# frozen_string_literal: true

require "support/run_world"

# A studio with a member of every role, in which every route has something to be about.
module RouteWorld
  def self.included(group)
    group.let(:studio) { make_studio }
    group.let(:members) do
      %w[director choreographer assistant].to_h do |role|
        [role, make_member(studio, role, person: (teacher if role == "choreographer"))]
      end
    end
    group.let!(:teacher) { studio.people.create!(name: "Odalys", teaches: true, dances: false, tape: 1) }
    group.let!(:piece) { make_piece(studio, make_member(studio, "director", name: "Maker")) }
    group.let(:dancer) { make_cast(piece).first }
  end

  # What an :id stands for under a piece.
  UNDER = { "ticks" => "entry", "links" => "link", "sections" => "section", "groups" => "group", "plans" => "plan",
            "names" => "word", "slots" => "slot", "corrections" => "correction", "told" => "told",
            "offers" => "offer", "words" => "meaning", "understudies" => "understudy",
            "handovers" => "hand_over", "track" => "upload", "runs" => "run", "troubles" => "trouble",
            "drills" => "drill", "notes" => "correction", "clips" => "clip",
            "reviews" => "review", "consents" => "consent" }.freeze

  # And behind a dancer's private link.
  MINE = %r{\A/my/:token/\w+/:id}
  OWN = { "clips" => ":clip", "track" => ":upload", "links" => ":link", "memory" => ":piece", "top" => ":piece",
          "practice" => ":piece",
          "reviews" => ":review",
          "absences" => ":absence", "habits" => ":habit" }.freeze

  # A concrete path of the studio for each pattern.
  def path_for(pattern)
    start = pattern[%r{\A/\w+}]
    pattern.gsub(/:(\w+)/) { |name| (ids["#{start}#{name}"] || ids.fetch(name.delete_prefix(":"))).to_s }
  end

  def ids
    @ids ||= begin
      make_season(studio)
      clash
      told, plan =
        Array.new(2) { |i| make_plan.tap { |made| App::Planning::Actions::Publish.new(made, NOW).run if i.zero? } }
      absence = dancer.absences.create!(studio:, from_date: "2027-02-10", to_date: "2027-02-10")
      entry = tick
      base = {
        "picture" => "home.png",
        "told" => told.id,
        "plan" => plan.id,
        "piece" => piece.id,
        "token" => dancer_token,
        "number" => 1,
        "step" => "later",
        "kind" => "seated",
        "index" => 1,
        "which" => "opening",
        "absence" => absence.id,
        "habit" => habit = dancer.habits.create!(studio:, weekday: 4).id,
        "/people:number" => habit,
        "/people:id" => dancer.id,
        "/rehearsals:id" => studio.rehearsals.first.id,
        "/calls:id" => studio.calendar_links.issue(piece_id: piece.id).first.id,
        "/calendar:token" => studio.calendar_links.issue(room_id: studio.rooms.first.id).last,
        "/pieces:table" => "plan",
        "/pieces:ending" => "svg",
        "/sheet:code" => sheet_code,
        "/mail:key" => members["choreographer"].mail_key,
        "/files:id" => pack.id,
        "/files:table" => "loads",
        "ending" => "csv",
        "/settings:id" => studio.program_tokens.issue(name: "board", by_name: "M").first.id,
        "/rooms:id" => studio.rooms.first.id,
        "/days:id" => studio.season_days.create!(
          kind: "exam", from_date: "2027-02-09", to_date: "2027-02-12", group: piece.groups.first
        ).id,
        "/season:id" => season_offer.id,
        "/memberships:id" => members["assistant"].id,
        "/studios:id" => studio.id,
        "/signed:id" => Records::SignIn.begin(members["director"].account, device: "phone", now: NOW).first.id,
        "/invitations:id" => studio.invitations.issue(
          email: "away@example.org", role: "assistant", expires_at: NOW + 86_400
        ).first.id,
        "/outbox:id" => studio.mails.create!(recipient: "a@example.org", subject: "s", body: "b").id
      }
      base.merge(
        "entry" => entry.id,
        "slot" => plan.slots.find(&:work?).id,
        "link" => piece.links.first.id,
        "section" => piece.sections.first.id,
        "offer" => make_offer.id,
        "group" => piece.groups.first.id,
        "correction" => Records::Note.create!(
          studio:, piece:, section: piece.sections.first, kind: "correction", about: "section", text: "soft knees",
          asker: dancer, by_name: "M", said_at: 1, client_id: "correction-1", created_at: Time.now
        ).id,
        "word" => studio.own_steps.create!(name: "wiggle", like: "hip").id,
        "understudy" => piece.understudies.create!(
          studio_id: studio.id, person: dancer, covered: studio.people.dancers.where.not(id: dancer.id).first,
          created_at: NOW
        ).id,
        "hand_over" => studio.hand_overs.create!(
          person: teacher, membership: members["assistant"], until_day: NOW.to_date + 30, by_name: "M", created_at: NOW
        ).id,
        "upload" => attached.id,
        **RunWorld.ids(studio, piece, dancer),
        "meaning" => studio.word_meanings.create!(
          word: "zigzag", effect: "left", teacher:, by_name: "M", created_at: NOW
        ).id
      )
    end
  end

  def make_plan = App::Planning::Actions::Make.new(piece, piece.revisions.first.account, studio.local(NOW)).run

  def a_sound = File.join(HOUSE, "app", "assets", "sounds", "1.wav")

  # A rehearsal track.
  def attached
    file = { "filename" => "winter.wav", "tempfile" => File.open(a_sound, "rb") }
    App::Piece::Actions::AttachTrack.new(piece, file, members["director"].account).run.value
  end

  def make_offer
    App::Planning::Actions::AskForPlans.new(piece, members["director"].account, "replanning", {}).run
    piece.plan_offers.last
  end

  # A second piece with the same dancer, and one plan of both.
  def second_piece
    @second_piece ||= make_piece(studio, make_member(studio, "director"), title: "Other Piece").tap { |p| make_cast(p) }
  end

  def season_offer
    order = { piece.id.to_s => "1", second_piece.id.to_s => "2" }
    offer = App::Season::Actions::PlanTogether.new(studio, members["director"].account, order).run.value
    worked_out(offer.reload)
  end

  # The offer of the world as things are now.
  def worked_out_anew
    offer = studio.plan_offers.find(ids.fetch("/season:id"))
    worked_out(offer.tap { |each| each.update!(state: "waiting") })
  end

  # As the worker does it.
  def worked_out(offer)
    App::Jobs::WorkOutPlans.new.run(studio.id, offer.id) unless offer.done?
    offer.reload
  end

  # The same, taken, so that it can be told.
  def together
    season_offer.tap do |offer|
      App::Season::Actions::TakeTogether.new(offer, members["director"].account, studio.local(NOW)).run
    end
  end

  # A join that does not fit, so that there is something to mend.
  def clash
    piece.sections.first.eights.last.update!(text: "8 step R")
    piece.sections.second.eights.first.update!(text: "1 step R")
    piece.touch
  end

  def tick
    App::Learning::Actions::RecordTicks.new(
      piece,
      members["director"],
      { "cells" => ["#{dancer.id}:s#{piece.sections.first.id}"], "rung" => 3 },
      Date.new(2027, 2, 2)
    ).run
    piece.ledger_entries.last
  end

  def pack
    account = members["director"].account
    transfer = studio.transfers.create!(account:, kind: "pack", state: "asked")
    App::Jobs::MoveStudio.run(transfer.id)
    transfer.reload
  end

  # An archive that somebody of the team sent and nobody took in yet.
  def unpack
    file = { tempfile: File.open(App::Shared::ArchiveFile.path(pack), "rb") }
    sent = App::Files::Actions::KeepArchive.new(members["director"].account, file).run.value
    App::Jobs::MoveStudio.run(sent.id)
    sent.reload
  end

  def sheet_code
    App::People::Actions::GiveWord.new(dancer, "meadow", NOW).run
    dancer.reload.sheet_token
  end

  def dancer_token = dancer.person_links.issue(studio_id: studio.id).last

  def concrete(rule)
    return path_for(rule.path.sub(":id", OWN[rule.path[%r{\A/my/:token/(\w+)/:id}, 1]])) if rule.path.match?(MINE)

    under = UNDER[rule.path[%r{\A/pieces/:piece/(?:plan/|runs/|clips/)?([a-z]+)/:id}, 1]]
    path = path_for(under ? rule.path.sub(":id", ":#{under}") : rule.path)
    return "#{path}?state=weight&n=0" if rule.path.end_with?("/mend")

    path = path.sub(%r{archive/\d+}, "archive/#{(@unpack ||= unpack).id}") if rule.path.start_with?("/studios/archive/")
    path = path.sub("plan.svg", "plan.csv") if rule.path.include?("/tables/")

    rule.path.end_with?("/cell") ? "#{path}?person=#{dancer.id}&item=s#{piece.sections.first.id}" : path
  end
end
