# frozen_string_literal: true

require "browser_helper"

RSpec.describe "typing steps", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  before do
    piece
    enter director
    visit "/pieces/#{piece.id}/steps"
  end

  def field(number) = find_field("Eight #{number}, what happens")

  it "understands while typing, keeps caret and focus, and walks by keys" do
    field(1).send_keys("1 step R 2 step R")
    expect(page).to have_text("The right foot already bears the weight")
    field(1).send_keys(:backspace, "L 3& bal")
    field(1).send_keys("l-change R L")
    expect(page).to have_no_text("already bears")
    expect(page).to have_css("svg.eight-picture text.move", text: "ball-change R L")
    expect(field(1).value).to eq "1 step R 2 step L 3& ball-change R L"
    expect(evaluate_script("document.activeElement.getAttribute('aria-label')")).to eq "Eight 1, what happens"
    field(1).send_keys(:enter, "1-2 kneel")
    expect(field(2).value).to eq "1-2 kneel"
    expect(page).to have_text("Knees to the floor")
    field(2).send_keys(%i[control enter])
    expect(page).to have_field("Eight 5, what happens")
    expect(page).to have_css("svg.eight-picture", count: 5)
    click_button "Save the steps"
    expect(page).to have_text("The steps of Opening Walk are saved.")
    expect(piece.sections.first.eights.count).to eq 5
  end

  it "takes a tempo from taps, by button or key" do
    visit "/pieces/#{piece.id}/music"
    page.execute_script(<<~JS)
      const button = [...document.querySelectorAll("button")].find((b) => b.textContent === "Tap the beat");
      for (let i = 0; i < 9; i += 1) {
        const event = new KeyboardEvent("keydown", { key: "x", bubbles: true, cancelable: true });
        Object.defineProperty(event, "timeStamp", { value: 5000 + i * 625 + (i === 4 ? 20 : 0) });
        button.dispatchEvent(event);
      }
    JS
    expect(page).to have_text(/96(\.\d)? beats a minute, steady to/)
    click_button "Use it"
    expect(find_field("Tempo").value).to match(/\A9[56]/)
  end

  it "takes a pasted sheet, a line for each eight" do
    field(1).click
    page.execute_script(<<~JS)
      const data = new DataTransfer();
      data.setData("text", "1 step R\\n1 step L\\n\\n1 jump\\n1 kick R\\n1 clap");
      const pasted = { clipboardData: data, bubbles: true, cancelable: true };
      document.activeElement.dispatchEvent(new ClipboardEvent("paste", pasted));
    JS
    expect(field(5).value).to eq "1 clap"
    click_button "Save the steps"
    expect(page).to have_text("are saved")
    expect(piece.sections.first.eights.map(&:text)).to eq ["1 step R", "1 step L", "1 jump", "1 kick R", "1 clap"]
  end
end
