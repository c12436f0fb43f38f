# frozen_string_literal: true

require "web_helper"

# The database goes away for a moment: nobody meets a bare error, and nothing typed is lost.
RSpec.describe "while the database is away", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:path) { "/pieces/#{piece.id}/sections/#{piece.sections.first.id}/steps" }

  before do
    sign_in director
    piece
  end

  def away(error = ActiveRecord::ConnectionNotEstablished)
    allow(Records::Asker).to receive(:find).and_wrap_original do |find, token, studio, piece|
      piece.to_i.positive? ? raise(error) : find.call(token, studio, piece)
    end
  end

  it "keeps on the page what was typed, to be sent again as it is" do
    lock = piece.sections.first.lock_version
    typed = { "rows" => { "1" => { "text" => "1 step R \"&<b>", "counts" => "8" } }, "lock_version" => lock }
    away
    send_form path, typed
    fields = last_response.body.scan(/<input type="hidden" name="([^"]*)" value="([^"]*)"[^>]*>/)
    kept = fields.to_h { |pair| pair.map { |text| CGI.unescapeHTML(text) } }
    aggregate_failures do
      expect(last_response.status).to eq 503
      expect(last_response.headers["retry-after"]).to eq "5"
      expect(last_response.body).to include "action=\"#{path}\""
      expect(kept).to include("rows[1][text]" => "1 step R \"&<b>", "lock_version" => lock.to_s)
    end
    allow(Records::Asker).to receive(:find).and_call_original
    post path, kept
    expect(last_response.status).to eq 302
    expect(piece.sections.first.eights.reload.first.text).to eq "1 step R \"&<b>"
  end

  it "says so to pages and scripts, whichever way the connection was lost" do
    faults = [ActiveRecord::ConnectionNotEstablished, ActiveRecord::ConnectionFailed, PG::ConnectionBad]
    faults.each do |fault|
      away fault
      expect([get("/pieces/#{piece.id}").status, last_response.body]).to match [503, /Back in a moment/]
    end
    send_json "/pieces/#{piece.id}/ticks", { "cells" => [] }
    said = JSON.parse(last_response.body)
    expect([last_response.status, said]).to match [503, include("error" => "Back in a moment")]
  end

  it "never writes a password into a page" do
    allow(Records::Account).to receive(:find_by).and_raise(ActiveRecord::ConnectionNotEstablished)
    clear_cookies
    send_form "/sign-in", { "email" => "a@example.org", "password" => "open sesame 1" }
    expect([last_response.status, last_response.body]).to match [503, /Back in a moment/]
    expect(last_response.body).not_to include "open sesame"
  end
end

RSpec.describe App::Web::Middleware::Connections, :web do
  it "leaves a connection where it is whose transaction was opened around the request" do
    mine = Records::Base.connection
    gate = Queue.new
    other = Thread.new do
      Records::Base.connection_pool.with_connection { gate.pop }
    end
    get "/sign-in"
    gate << true
    other.join
    expect(Records::Base.connection).to equal mine
  end
end
