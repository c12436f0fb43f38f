# frozen_string_literal: true

require "web_helper"

# A section that is changed after it was taught is taught anew in the plan; what was danced in two runs and ticked by
# nobody is said to be just that.
RSpec.describe "what was changed, and what was danced", :web do
  let(:studio) { make_studio }
  let(:director) { make_member(studio, "director") }
  let(:piece) { make_piece(studio, director) }
  let!(:dancers) { make_cast(piece, %w[Ada Bo Cai Dee]) }
  let(:section) { piece.sections.order(:position).first }
  let(:key) { "s#{section.id}" }
  let(:now) { studio.local(NOW) }

  def tick(people, rung)
    Records::Mapping::Learnings.append(piece, people.map do |one|
      App::Shared::LogLine.of(piece, director.account, now.to_date)
        .merge(person_id: one.id, item_key: key, kind: "danced", rung:, note: "")
    end)
  end

  def text(path) = CGI.unescapeHTML(get(path).body.gsub(/<[^>]+>/, " ").gsub(/\s+/, " "))
  def anew = App::Reading::PlanDraft.new(piece.reload, now).tasks.find { |task| task.id == "anew-#{key}" }

  before do
    make_season(studio)
    sign_in director
  end

  it "shows changed eights anew to those who have the old ones, in minutes of their own, until they danced it" do
    tick(dancers, 3)
    expect(anew).to be_nil
    App::Shared::MarkChanged.new(piece, key, [2, 3], director.account, now.to_date).run
    task = anew
    expect([task.dancers.sort, task.eights, task.kind]).to eq [dancers.map(&:id).sort, 2, "difference"]
    expect(task.minutes).to be_between(5, 10)
    joins = App::Reading::PlanDraft.new(piece.reload, now).tasks.select { |each| each.kind == "join" }
    expect(joins.first.after).to include task.id
    send_form "/pieces/#{piece.id}/plan", {}
    expect(text("/pieces/#{piece.id}/plan")).to include "Show Opening Walk anew, as it is now"
    tick(dancers.first(3), 3)
    expect(anew).to be_nil
  end

  it "does not take a changed edge for changed eights" do
    tick(dancers, 3)
    App::Shared::MarkChanged.new(piece, key, [], director.account, now.to_date, note: "the end of it changed").run
    expect(anew).to be_nil
  end

  it "says of what was danced in two runs that nobody ticked it, not that nobody was taught it" do
    ready = "/pieces/#{piece.id}/who-has-it/ready"
    expect(text(ready)).to include "not even for a stumble-through yet"
    2.times do |i|
      rehearsal = studio.rehearsals.order(:date)[i]
      plan = piece.plans.create!(studio_id: studio.id, number: i + 1, result: {}, published_at: NOW)
      plan.slots.create!(studio_id: studio.id, rehearsal:, kind: "run", task_key: "run-#{i}", title: "Run",
                         start_minute: 1100, minutes: 10, from_link: 1, to_link: 4, room: studio.rooms.first)
    end
    App::Shared::Clock.frozen_at = NOW + (20 * 86_400)
    expect(text(ready)).to include "not even for a stumble-through yet"
    studio.rehearsals.update_all(confirmed_at: NOW)
    expect(text(ready)).to include "danced in two runs, ticked by nobody"
    expect(text("/pieces/#{piece.id}/who-has-it/coverage")).to include "Danced in two runs, ticked by nobody"
  end
end
