# frozen_string_literal: true

require "web_helper"

# The rehearsal track of a piece: attached, told apart by its content, served in parts, replaced and taken away.
RSpec.describe "a rehearsal track", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let(:sound) { File.join(HOUSE, "app", "assets", "sounds", "1.wav") }

  before { sign_in director }

  def attach(path, name: "winter.wav", type: "audio/wav")
    file = Rack::Test::UploadedFile.new(path, type, original_filename: name)
    send_form "/pieces/#{piece.id}/track", { "file" => file }
  end

  def track = piece.uploads.tracks.last
  def address(upload = track) = "/pieces/#{piece.id}/track/#{upload.id}"

  it "is attached, heard on the music page and in the room, and served in parts" do
    attach(sound)
    expect(last_response).to be_redirect
    page = get("/pieces/#{piece.id}/music").body
    expect(page).to include("winter.wav is attached").and include(%(src="#{address}"))
    get address, {}, { "HTTP_RANGE" => "bytes=0-99" }
    expect([last_response.status, last_response.body.bytesize]).to eq [206, 100]
    expect(last_response.headers["content-type"]).to start_with "audio/"
    expect(last_response.body).to eq File.binread(sound, 100)
  end

  it "is known by what is in it, not by what it says of itself" do
    Tempfile.create(["song", ".mp3"]) do |file|
      file.write("<script>alert(1)</script>")
      file.flush
      attach(file.path, name: "song.mp3", type: "audio/mpeg")
    end
    expect(last_response.status).to eq 422
    expect(last_response.body).to include("no sound file that a browser plays").and include("Send an MP3")
    send_form "/pieces/#{piece.id}/track", {}
    expect(last_response.body).to include("Choose a sound file first.")
    expect(track).to be_nil
  end

  it "keeps a name without the way to it, replaces the one before, and can be taken away" do
    attach(sound, name: "C:\\music\\deep\\first.wav")
    first = track
    attach(sound, name: "../../second.wav")
    expect([first.reload.removed_at.nil?, first.name, track.name]).to eq [false, "first.wav", "second.wav"]
    get address(first)
    expect(last_response.status).to eq 404
    gone = track
    send_form "#{address}/remove", {}
    expect(track).to be_nil
    get address(gone)
    expect(last_response.status).to eq 404
    expect(get("/pieces/#{piece.id}/music").body).to include "No sound file yet"
  end

  it "answers that it is not there where somebody took the file away" do
    attach(sound)
    File.delete(App::Shared::TrackFile.path(track))
    get address
    expect(last_response.status).to eq 404
  end

  it "is heard by the studio and nobody else, and attached by directors" do
    attach(sound)
    place = address
    sign_in make_member(studio, "assistant")
    expect([get(place).status, get("/pieces/#{piece.id}/music").body.include?("Attach")]).to eq [200, false]
    attach(sound)
    expect(last_response.status).to eq 403
    sign_in make_member(make_studio, "director")
    expect(get(place).status).to eq 404
  end

  it "refuses what is too large before anybody reads it, and only what is too large for this place" do
    large = { "CONTENT_LENGTH" => (41 * 1024 * 1024).to_s, "HTTP_X_CSRF_TOKEN" => token }
    post "/pieces/#{piece.id}/track", {}, large
    expect([last_response.status, last_response.body]).to match [413, /more than 40 MB/]
    post "/people", {}, large.merge("CONTENT_LENGTH" => (3 * 1024 * 1024).to_s)
    expect([last_response.status, last_response.body]).to match [413, /more than 2 MB/]
  end
end
