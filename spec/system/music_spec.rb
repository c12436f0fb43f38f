# frozen_string_literal: true

require "browser_helper"

# A tempo proposed from the rehearsal track: decoded by the browser, found by the core, taken by one tap.
RSpec.describe "music in the browser", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  before do
    piece
    enter director
  end

  # A click at a tempo that is none of the piece's.
  def attach_click(bpm)
    clicks = Array.new(40) { |i| Core::Room::Practice::Click.new(at: 0.4 + (i * 60.0 / bpm), kind: :first) }
    Tempfile.create(%w[click .wav]) do |file|
      file.binmode
      file.write(Formats::PracticeTrack.render(clicks, seconds: 0.5 + (40 * 60.0 / bpm)))
      file.flush
      visit "/pieces/#{piece.id}/music"
      attach_file "A sound file", file.path
      click_button "Attach"
      page.has_text?("is attached")
    end
  end

  it "proposes what is heard, with its half and its double, and saves nothing by itself" do
    attach_click(104)
    click_button "Propose a tempo from it"
    expect(page).to have_css("button", text: /\A10[34](\.\d)?\z/).and have_text("How is it counted?")
    proposed = all("#track button.low", text: /\A[\d.]+\z/).map { |button| button.text.to_f }
    expect(proposed.first).to be_within(0.5).of(104)
    expect(proposed).to include(be_within(0.5).of(52)).and include(be_within(1).of(208))
    all("#track button.low", text: /\A10[34]/).first.click
    expect(find_field("Tempo").value.lines.first.to_f).to be_within(0.5).of(104)
    expect(piece.track.reload.tempo.first.last).not_to be_within(1).of(104)
  end
end
