# frozen_string_literal: true

require "web_helper"
require_relative "../support/concurrently"

# What was read is kept under counters: every table that can change a piece raises its piece's, whoever commits first is
# seen first, and readers fetch only what is newer.
RSpec.describe App::Reading::PieceSnapshots, :web do
  include Concurrently

  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece) }
  let(:section) { piece.sections.first }

  def counters = Records::Piece.where(id: piece.id).pick(:work_version, :learning_seq)

  def tick(who, rung: 3, item: "s#{section.id}")
    App::Learning::Actions::RecordTicks.new(
      piece, director, { "cells" => ["#{who.id}:#{item}"], "rung" => rung }, Date.new(2027, 2, 2)
    ).run
  end

  describe "a change" do
    # Every table that a piece is made of, and one way to change it.
    ways = {
      "pieces" => -> { piece.update!(title: "Other") },
      "tracks" => -> { piece.track.update!(length_seconds: 99) },
      "castings" => -> { piece.castings.where(person: dancers.last).delete_all },
      "groups" => -> { piece.groups.create!(studio:, name: "New", number: 9) },
      "group_members" => lambda do
        group = piece.groups.create!(studio:, name: "G", number: 8)
        Records::GroupMember.create!(studio:, group:, person: dancers.first)
      end,
      "sections" => -> { section.update!(difficulty: 1.3) },
      "eights" => -> { section.eights.first.update!(text: "1 jump") },
      "parts" => lambda do
        group = piece.groups.first || piece.groups.create!(studio:, name: "P", number: 7)
        section.parts.create!(studio_id: studio.id, group_id: group.id)
      end,
      "versions" => -> { section.versions.create!(studio_id: studio.id, kind: "seated", eights: { "1" => "clap" }) },
      "version_people" => lambda do
        piece.version_people.create!(studio_id: studio.id, person: dancers.first, section:, kind: "seated")
      end,
      "links" => -> { piece.links.last.update!(mirrored: true) },
      "revisions" => -> { App::Shared::KeepRevision.new(piece, director.account).record("as it is") },
      "agreements" => lambda do
        piece.agreements.create!(
          studio_id: studio.id, join_key: "j1-2", kind: "agreed", leaving_digest: "2:a", entering_digest: "2:b",
          by_name: "D", day: NOW.to_date, created_at: NOW
        )
      end,
      "join_facts" => -> { piece.join_facts.create!(studio_id: studio.id, join_key: "j1-2", note: "soft") },
      "asides" => lambda do
        piece.asides.create!(studio_id: studio.id, question: "w:1:whirr", way: "room", by_name: "D", created_at: NOW)
      end,
      "word_meanings" => lambda do
        studio.word_meanings.create!(word: "whirr", effect: "left", by_name: "D", created_at: NOW)
      end,
      "section_teachers" => lambda do
        section.section_teachers.create!(studio_id: studio.id, person: dancers.first, created_at: NOW)
      end,
      "formations" => lambda do
        piece.formations.create!(studio_id: studio.id, link_id: piece.links.first.id, moment: "entry")
      end,
      "spots" => lambda do
        row = piece.formations.create!(studio_id: studio.id, link_id: piece.links.first.id, moment: "exit")
        row.spots.create!(studio_id: studio.id, person: dancers.first, x: 1, y: 1)
      end,
      "understudies" => lambda do
        piece.understudies.create!(studio_id: studio.id, person: dancers.first, covered: dancers.last, created_at: NOW)
      end,
      "people" => -> { dancers.first.update!(name: "Somebody Else") },
      "own_steps" => -> { studio.own_steps.create!(name: "wiggle", like: "hip") }
    }

    ways.each do |table, way|
      it "of #{table} raises the piece's counter, so that it is read anew" do
        before = described_class.of(piece)
        version = counters.first
        instance_exec(&way)
        aggregate_failures do
          expect(counters.first).to be > version
          expect(described_class.of(piece)).not_to equal before
        end
      end
    end

    it "knows every table that holds rows of a piece" do
      holding = ActiveRecord::Base.connection.tables.select do |table|
        columns = ActiveRecord::Base.connection.columns(table).map(&:name)
        columns.intersect?(%w[piece_id section_id formation_id group_id link_id]) ||
          %w[people own_steps word_meanings].include?(table)
      end
      aside = %w[ledger_entries learning_states plans plan_offers teachings overrulings]
      # Of what happened in the room; nothing that was read of the piece hangs on them.
      aside += %w[passes notes uploads runs run_steps troubles drills memory_answers calendar_links season_days]
      expect(holding - aside - ways.keys).to be_empty
    end

    it "of the log alone keeps what was read of the piece, and reads only the newer cells" do
      tick(dancers.first)
      before = described_class.of(piece)
      allow(Records::Mapping::Works).to receive(:load).and_call_original
      tick(dancers.second)
      after = described_class.of(piece)
      aggregate_failures do
        expect(after).not_to equal before
        expect(after.items).to equal before.items
        expect(Records::Mapping::Works).not_to have_received(:load)
        key = "s#{section.id}"
        expect([0, 1].map { |i| after.progress.rung(dancers[i].id, key) }).to eq [3, 3]
        expect(before.progress.rung(dancers.second.id, key)).to eq 0
      end
    end
  end

  describe "with several connections", :committed do
    it "shows a tick that commits later under a higher number, however early it began" do
      slow_has_begun = Queue.new
      quick_is_done = Queue.new
      key = "s#{section.id}"
      slow = lambda do |_|
        Records::LedgerEntry.transaction do
          Records::Mapping::Learnings.lock(piece, [Records::Mapping::Learnings.own(dancers.first.id, key)])
          slow_has_begun << true
          quick_is_done.pop
          tick(dancers.first)
        end
      end
      quick = lambda do |_|
        slow_has_begun.pop
        tick(dancers.second)
        @between = described_class.of(piece).progress.rung(dancers.second.id, key)
        quick_is_done << true
      end
      together(slow, quick)
      seqs = piece.ledger_entries.order(:seq).pluck(:person_id, :seq)
      aggregate_failures do
        expect(@between).to eq 3
        expect(seqs).to eq [[dancers.second.id, 1], [dancers.first.id, 2]]
        expect(dancers.first(2).map { |who| described_class.of(piece).progress.rung(who.id, key) }).to eq [3, 3]
      end
    end

    it "takes many ticks and edits at once, in whatever order of cells, without a deadlock" do
      keys = piece.sections.map { |each| "s#{each.id}" }
      random = Random.new(Seeded::FIRST)
      ticking = Array.new(3) do
        lambda do |_|
          10.times do
            cells = dancers.product(keys).sample(6, random:).map { |who, key| "#{who.id}:#{key}" }
            App::Learning::Actions::RecordTicks.new(
              piece, director, { "cells" => cells, "rung" => 2 }, Date.new(2027, 2, 2)
            ).run
          end
        end
      end
      editing = lambda do |_|
        5.times do |i|
          row = { "text" => "1 step #{i.even? ? 'R' : 'L'}", "counts" => "8" }
          App::Steps::Actions::Save.new(
            section, { "rows" => { "1" => row }, "lock_version" => section.reload.lock_version }, director.account,
            Date.new(2027, 2, 2)
          ).run
        end
      end
      expect { together(*ticking, editing) }.not_to raise_error
      aggregate_failures do
        expect(App::Learning::Actions::RebuildStates.new(studio).run).to eq 0
        expect(piece.ledger_entries.pluck(:seq)).to eq piece.ledger_entries.pluck(:seq).uniq
        expect(section.eights.first.text).to eq "1 step R"
      end
    end

    # Fault: whoever was second got an error page, or the first one's answer.
    it "lets two directors plan at once, each with a plan of their own" do
      make_season(studio)
      now = studio.local(NOW)
      plans = Queue.new
      block = lambda do |_|
        own = studio.pieces.find(piece.id)
        plans << App::Planning::Actions::Make.new(own, director.account, now).run.number
      end
      together(block, block)
      expect([plans.pop, plans.pop].sort).to eq [1, 2]
    end

    it "does a form's work once when it is sent twice at once, and does not take another fault for its own" do
      done = Queue.new
      once = ->(key, &work) { App::Shared::SubmitOnce.new(studio, key, "the same").run(&work) }
      block = ->(_) { done << once.call("key") { ["done", "/made/#{SecureRandom.hex(2)}", nil] } }
      together(block, block)
      outcomes = [done.pop, done.pop]
      expect([outcomes.map(&:kind).sort, outcomes.map(&:location).uniq.size]).to eq [%i[again done], 1]
      expect { once.call("other") { piece.groups.create!(studio:, name: nil, number: 1) } }
        .to raise_error(ActiveRecord::RecordInvalid)
      row = { studio_id: studio.id, name: "x", like: "hip", created_at: NOW, updated_at: NOW }
      twice = -> { 2.times { Records::OwnStep.insert_all!([row]) } }
      expect { once.call("third", &twice) }.to raise_error(ActiveRecord::RecordNotUnique)
    end

    # Two people who give the same name: whoever is second reads a sentence.
    {
      "a word for a step" => lambda do |own|
        own_director = own.memberships.find_by!(role: "director")
        App::Steps::Actions::AddOwnStep.new(own_director, { "name" => "Wiggle", "like" => "jump" }).run
      end,
      "a room" => ->(own) { App::Rehearsals::Actions::AddRoom.new(own, { "room" => "Attic", "capacity" => "9" }).run },
      "a group" => ->(own) { App::Piece::Actions::SaveGroups.new(own.pieces.first, { "name" => "Early" }).add },
      "a person" => ->(own) { App::People::Actions::Save.new(own, own.people.new, { "name" => "Ada Berg" }).run }
    }.each do |what, add|
      it "tells whoever is second that #{what} of this name is there" do
        piece
        adding = -> { add.call(Records::Studio.find(studio.id)).ok? }
        expect(while_uncommitted(adding, adding)).to eq [true, false]
      end
    end

    it "never loses a stop that is asked for while the search says how far it is" do
      make_season(studio)
      plan = App::Planning::Actions::Make.new(piece, director.account, studio.local(NOW)).run
      plan.update_columns(search: { "state" => "running", "share" => 0.1 })
      saying = ->(_) { 30.times { |i| Records::Plan.find(plan.id).search_goes_on("share" => i / 30.0) } }
      stopping = ->(_) { Records::Plan.find(plan.id).search_stops }
      together(saying, stopping)
      expect(plan.reload.search["state"]).to eq "stopping"
    end
  end
end
