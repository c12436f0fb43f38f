# frozen_string_literal: true

require "browser_helper"

RSpec.describe "the build in the browser", :browser do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }

  before do
    piece
    make_season(studio)
    make_cast(piece)
    enter director
    visit "/pieces/#{piece.id}/plan"
    click_button "Make the plan"
    find("p", text: "This plan is a draft")
  end

  def last_run
    piece.reload.latest_plan.slots.includes(:rehearsal)
      .select { |slot| slot.kind == "run" }
      .max_by { |slot| slot.rehearsal.date }
  end

  def mark(slot) = find("[data-slot='#{slot.id}']")

  it "moves a slot by keys with the verdict at once, pins it, and moves it by dragging" do
    run = last_run
    dates = studio.rehearsals.standing.pluck(:id)
    mark(run).send_keys(:right)
    expect(page).to have_css("[data-slot='#{run.id}'][data-in='#{dates[dates.index(run.rehearsal_id) + 1]}']")
    first = piece.latest_plan.slots.select(&:work?).min_by { |slot| [slot.rehearsal.date, slot.start_minute] }
    mark(first).send_keys(:right)
    expect(page).to have_text("That would break something.").or have_css(
      "[data-slot='#{first.id}'][data-in='#{dates[1]}']"
    )
    mark(run).send_keys("p")
    expect(page).to have_text("Pinned: it stays here when you plan again.")
    mark(run).send_keys(:left)
    expect(page).to have_text("It is pinned here.")
    mark(run).send_keys("p")
    expect(page).to have_text("No longer pinned.")
    place = run.reload.rehearsal_id
    column = find("[data-column='#{dates[dates.index(place) - 1]}']", visible: :all).native.node.find_position
    x, y = page.driver.browser.at_css("[data-slot='#{run.id}']").find_position
    page.driver.browser.mouse.move(x:, y: y + 10).down.move(x: column.first, y: y + 10).up
    expect(page).to have_css("[data-slot='#{run.id}'][data-in='#{dates[dates.index(place) - 1]}']")
  end

  it "shows ways to build it, and what a change would do before it is done" do
    click_link "Ways to build it"
    click_button "Work it out"
    expect(page).to have_css("tbody tr", count: 4).and have_text("add on from the top (now)")
    all("button", text: "Take this way")[2].click
    expect(page).to have_text("sections, then joins")
    click_link "What if…"
    find("summary", text: "Evenings and rooms").click
    within(find("form", text: "A rehearsal falls away")) { click_button "Show" }
    expect(page).to have_text("Without the rehearsal on").and have_text("Changes for people")
    click_button "Do it, and plan again"
    expect(page).to have_text("Done. This is the plan that was shown.")
  end

  it "leads from a cancelled evening to what people are told instead" do
    click_button "Tell everybody"
    expect(page).to have_text("Everybody's calls now follow this plan.")
    visit "/rehearsals"
    within(first("tr", text: "2 Feb")) { click_button "Cancel" }
    expect(page).to have_text("cancelled")
    visit "/"
    click_link "The rehearsal on Tue 2 Feb was cancelled."
    within(".notice") { click_button "See what to do" }
    expect(page).to have_css("li", text: "The rehearsal on Tue 2 Feb was cancelled.").and have_text("cancelled calls")
    within(first("section", text: "Keep what stands")) { click_button "Take this one" }
    expect(page).to have_text("This plan is a draft; calls still follow the one before.").and have_no_text(
      "See what to do"
    )
    click_button "Tell everybody"
    expect(page).to have_text(/\d people's changed/)
    visit "/calls"
    expect(page).to have_no_text("2 Feb").and have_css("tr", text: /9 Feb.*Opening Walk/m)
  end

  it "looks on for a better plan, and stops when told" do
    expect(page).to have_css("progress").and have_button("Stop")
    click_button "Stop"
    expect(piece.reload.latest_plan.search["state"]).to eq "stopping"
  end
end
