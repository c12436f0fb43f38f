# frozen_string_literal: true

require "web_helper"
require "support/route_world"
require_relative "../support/odd_texts"

# Whatever stands in the rows of a piece, its pages answer; and where a piece fails all the same, it fails alone.
RSpec.describe "a sick piece", :web do
  include RouteWorld

  let(:pages) { App::Web::Access::RULES.select { |rule| rule.verb == :get && !rule.roles.include?(:anyone) } }

  before { sign_in members["director"] }

  # As if it had been stored before anybody knew better.
  def store(odd)
    piece.sections.flat_map { |section| section.eights.to_a }.each { |eight| eight.update_columns(text: odd.text) }
    replace = { "1" => { "counts" => 8, "text" => odd.text } }
    piece.links.last.update_columns(changes_made: { "replace" => replace })
    version = piece.sections.first.versions.find_or_initialize_by(kind: "seated", studio_id: studio.id)
    version.update!(eights: { "1" => odd.text })
    piece.touch
  end

  it "answers on all its pages, whatever stands in its rows" do
    paths = pages.map { |rule| concrete(rule) }
    each_case(3) do |random|
      store(OddTexts.new(random))
      failed = paths.select { |path| get(path).status >= 500 }
      expect(failed).to be_empty
    end
  end

  it "answers with 'x0' in a link's changes, which once took every page down" do
    ids
    odd = Struct.new(:text).new("1 walk x0")
    store(odd)
    expect(pages.map { |rule| concrete(rule) }.select { |path| get(path).status >= 500 }).to be_empty
  end

  it "fails alone: Home and a dancer's page show the others, and say where to look" do
    sick = make_piece(studio, members["director"], title: "Sick One")
    sick.castings.create!(studio:, person: dancer)
    ids
    allow(Core::Learning::Items).to receive(:new).and_wrap_original do |original, work, **rest|
      raise ZeroDivisionError if work.title == "Sick One"

      original.call(work, **rest)
    end
    home = get("/").body
    mine = get("/my/#{dancer_token}").body
    aggregate_failures do
      expect(home).to include("Something in <strong>Sick One</strong> cannot be shown", piece.title)
      expect(home).to include "/pieces/#{sick.id}/steps"
      expect(mine).to include piece.title
      expect([last_response.status, get("/people").status]).to eq [200, 200]
    end
  end

  it "is not let in: what the reader fails at is refused with all that was typed" do
    broken = Class.new(Core::Movement::LineReader) do
      def lines = @text.include?("boom") ? raise(ZeroDivisionError) : super
    end
    stub_const("Core::Movement::LineReader", broken)
    section = piece.sections.first
    link = piece.links.last
    lock = piece.reload.lock_version
    rows = { "1" => { "text" => "1 boom", "counts" => "8" } }
    { "/pieces/#{piece.id}/sections/#{section.id}/steps" => { "rows" => rows, "lock_version" => section.lock_version },
      "/pieces/#{piece.id}/links/#{link.id}/changes" => { "rows" => rows, "lock_version" => lock },
      "/pieces/#{piece.id}/sections/#{section.id}/versions/seated" =>
        { "rows" => { "1" => { "text" => "1 boom" } }, "lock_version" => 0 } }.each do |path, sent|
      send_form path, sent
      aggregate_failures(path) do
        expect(last_response.status).to eq 422
        expect(last_response.body).to include("cannot be read", "1 boom")
      end
    end
    expect(section.eights.reload.map(&:text)).not_to include "1 boom"
  end
end
