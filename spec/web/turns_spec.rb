# frozen_string_literal: true

require "web_helper"
require "support/concurrently"

# Long work goes by turns, a job that kills the worker is set aside, and an error in one studio is that studio's alone.
RSpec.describe "the worker's turns", :committed do
  include Concurrently

  let(:studios) { Array.new(3) { make_studio } }
  let(:done) { Queue.new }
  let(:work) do
    told = done
    Class.new(App::Jobs::Long) do
      define_method(:run) { |*args| told << args }
      define_method(:dropped) { |*args| told << [:dropped, *args] }
    end
  end

  before do
    stub_const("LongWork", work)
    LongWork.const_set(:WORK, "long")
    stub_const("App::Jobs::Next::WORK", { "long" => LongWork })
  end

  def ask(studio, about, same: about) = LongWork.ask(about, whose: studio, same:)
  def asks = Records::Ask.order(:id)
  def take(job = rand(1 << 30)) = Records::Ask.take(job)

  # Everybody's asks in the order in which one worker after the other takes them, ended at once.
  def served = Array.new(asks.waiting.count) { take.tap(&:ended).args.first }

  it "serves whoever was served longest ago, so that many asks of one studio keep no other waiting" do
    8.times { |i| ask(studios[0], "a#{i}") }
    first = take
    2.times { |i| ask(studios[1], "b#{i}") }
    ask(studios[2], "c0")
    places = asks.waiting.to_h { |each| [each.args.first, LongWork.place(*each.args)] }
    expect(places.slice("b0", "c0", "a1", "b1", "a2", "a7").values).to eq [1, 2, 3, 4, 5, 10]
    expect([first.args, *served.first(5)]).to eq [["a0"], "b0", "c0", "b1", "a1", "a2"]
  end

  it "begins nothing else of a studio while another waits, and a second piece where nobody does" do
    3.times { |i| ask(studios[0], "a#{i}") }
    ask(studios[1], "b0")
    taken = Queue.new
    together(*Array.new(2) { ->(_) { taken << take.args.first } })
    expect([taken.pop, taken.pop].sort).to eq %w[a0 b0]
    expect(take.args).to eq ["a1"]
  end

  it "lets a newer ask for the same take the place of the older" do
    ask(studios[0], "old", same: "piece 1")
    ask(studios[0], "other", same: "piece 2")
    ask(studios[0], "new", same: "piece 1")
    expect([done.pop, served]).to eq [[:dropped, "old"], %w[other new]]
  end

  it "goes on with what a job had begun when its worker went away" do
    ask(studios[0], "a")
    ask(studios[1], "b")
    take(7)
    expect([take(7).args, take(8).args, take(9)]).to eq [["a"], ["b"], nil]
  end

  it "sets a job aside inside which the worker died five times, and says to whoever asked that nothing comes of it" do
    ask(studios[0], "a")
    job = Records::Base.connection.select_value("SELECT id FROM que_jobs WHERE job_class = 'App::Jobs::Next'")
    killed = lambda do |_|
      row = Que.execute("SELECT * FROM que_jobs WHERE id = #{job}").first
      App::Jobs::SetAside.around(App::Jobs::Next.new(row)) { throw :killed }
      :not_tried
    end
    5.times do
      expect(catch(:killed, &killed)).to be_nil
      take(job)
    end
    expect(catch(:killed, &killed)).to eq :not_tried
    expect([done.pop, App::Jobs::SetAside.counted]).to eq [[:dropped, "a"], { "App::Jobs::Next" => 1 }]
    expect(asks.under_way).to be_empty
  end

  it "does every studio's chores and work though a hundred hold settings that no form would take" do
    odd = ["soon", -1, nil, [], {}, 1e9, "0", true]
    studios = Array.new(100) { |i| make_studio("Odd #{i}") }
    studios.each_with_index { |each, i| each.update_columns(settings: { "erase_after" => odd[i % odd.size] }) }
    sound = make_studio
    sound.update!(settings: { "erase_after" => 5 })
    gone = sound.people.create!(name: "Ada Quill", archived_at: NOW - (6 * 86_400))
    App::Jobs::Chores.new.run(NOW)
    expect(gone.reload.erased_at).not_to be_nil
  end

  it "refuses a setting that is not what it may be, wherever it comes from" do
    studio = make_studio
    faulty = [{ "erase_after" => "soon" }, { "warm_up" => 7 }, { "clips" => "yes" }, { "learned_way" => "luck" },
              { "clean_runs" => 0 }, { "paper" => "a3" }]
    expect(faulty.map { |settings| studio.tap { |each| each.settings = settings }.valid? }).to all(be false)
    expect(studio.tap { |each| each.settings = Records::Studio::DEFAULTS }.valid?).to be true
  end
end
