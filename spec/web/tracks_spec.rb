# frozen_string_literal: true

require "web_helper"
require "open3"
require "support/run_world"

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

  # What ffprobe finds: kinds of stream, and all that the file says of itself.
  def found(path)
    out, = Open3.capture2("ffprobe", "-v", "error", "-of", "json", "-show_streams", "-show_format", path)
    said = JSON.parse(out)
    tags = [said["format"], *said["streams"]].map { |each| each["tags"].to_h }.reduce(:merge)
    [said["streams"].map { |each| each["codec_type"] }, tags.values.join(" ")]
  end

  def made(ending, *inputs)
    Dir.mktmpdir do |dir|
      path = File.join(dir, "made.#{ending}")
      system("ffmpeg", "-v", "error", *inputs, "-metadata", "title=At home in Mill Lane", "-metadata",
             "location=+51.5-000.1/", path, exception: true)
      yield path
    end
  end

  it "is sound alone: of a film no picture is kept, and nothing of what a file says of itself" do
    sine = %w[-f lavfi -i sine=d=1]
    made("mp4", *sine, *%w[-f lavfi -i testsrc=d=1:s=64x64 -pix_fmt yuv420p]) do |film|
      expect(found(film)).to match [contain_exactly("audio", "video"), /Mill Lane/]
      attach(film, name: "film.mp4", type: "video/mp4")
    end
    expect(last_response).to be_redirect
    kinds, said = found(App::Shared::TrackFile.path(track))
    expect([kinds, said, track.type]).to match [["audio"], /\A(?!.*(Mill Lane|51\.5)).*\z/m, "audio/mp4"]
    made("mp3", *sine) { |song| attach(song, name: "song.mp3") }
    expect([found(App::Shared::TrackFile.path(track)), track.type]).to eq [[["audio"], ""], "audio/mpeg"]
    attach(RunWorld::CLIP, name: "clip.webm", type: "video/webm")
    expect(last_response.status).to eq 422
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
    here = App::Web::UploadTicket.on("/pieces/#{piece.id}/track", NOW)
    post here, {}, large
    expect([last_response.status, last_response.body]).to match [413, /more than 40 MB/]
    small = large.merge("CONTENT_LENGTH" => (3 * 1024 * 1024).to_s)
    post "/pieces/#{piece.id}/track", {}, small
    expect([last_response.status, last_response.body]).to match [413, /Reload the page/]
    post here.sub("/#{piece.id}/", "/0/"), {}, small
    expect(last_response.status).to eq 413
    App::Shared::Clock.frozen_at = NOW + (25 * 3600)
    post here, {}, small
    expect(last_response.status).to eq 413
    post "/people", {}, large.merge("CONTENT_LENGTH" => (3 * 1024 * 1024).to_s)
    expect([last_response.status, last_response.body]).to match [413, /more than 2 MB/]
  end
end
