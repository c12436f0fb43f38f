# frozen_string_literal: true

require "spec_helper"
require_relative "../support/chosen_evenings"

# Of two ways to spend some evenings, the one a good assistant would choose costs less.
RSpec.describe "evenings a good assistant would choose" do
  pairs = JSON.parse(File.read("spec/corpus/evenings_chosen.json", encoding: "UTF-8"))

  it "cost less than the others, in at least nine of ten" do
    wrong = pairs.reject { |pair| ChosenEvenings.cost(pair, "better") < ChosenEvenings.cost(pair, "worse") }
    expect(wrong.map { |pair| pair["why"] }.size).to be <= pairs.size / 10
    expect(pairs.size).to be >= 30
  end

  describe "have prices, to the minute" do
    def price(name, *slots, **facts) = ChosenEvenings.prices(*slots, **facts).fetch(name)

    # One dancer waits so many minutes for the second of two lessons.
    def wait(minutes, who: "a", **facts)
      price(:long_waits, "learn #{who} T 0+20", "learn #{who} U #{20 + minutes}+20", **facts)
    end

    it "for waits that are longer than somebody of that age sits still for" do
      expect([20, 25, 40].map { |minutes| wait(minutes) }).to eq [0, 5, 20]
      expect([10, 15].map { |minutes| wait(minutes, young: "a") }).to eq [0, 5]
      expect([30, 35].map { |minutes| wait(minutes, adult: "a") }).to eq [0, 5]
      expect(wait(30, who: "ab", young: "b")).to eq 30
      expect(price(:long_waits, "learn a T 0+20", "learn b U 60+20")).to eq 0
    end

    it "for evenings that are too short for a teacher to come" do
      evening = ->(minutes, **facts) { price(:short_evenings, "learn ab T 0+#{minutes}", **facts) }
      expect([30, 45, 60].map { |minutes| evening[minutes] }).to eq [15, 0, 0]
      expect([45, 60].map { |minutes| evening[minutes, guests: "T"] }).to eq [15, 0]
      expect([25, 30].map { |minutes| evening[minutes, young: "ab"] }).to eq [5, 0]
      expect([evening[25, young: "a"], evening[10, home: "T"]]).to eq [20, 0]
      expect(price(:short_evenings, "learn ab T 0+20", "join ab T 60+20")).to eq 5
    end

    it "for slots that are scraps, but not for what follows on with the same people in the same room" do
      slots = ->(*list) { price(:short_slots, *list) }
      expect([slots["join ab T 0+10"], slots["join ab T 0+15"]]).to eq [10, 0]
      expect(slots["join abc T 0+10", "join abc T 10+5"]).to eq 0
      expect(slots["join abc T 0+10", "join abc T 15+5"]).to eq 30
      expect(slots["join abc T 0+10", "join abc T 10+5 @2"]).to eq 30
      expect(slots["join abc T 0+10", "join def T 10+5"]).to eq 30
      expect(slots["join abcde T 0+10", "join abcd T 10+5"]).to eq 0
    end

    it "for people and rooms that change more than four times an hour" do
      changing = Array.new(7) { |i| "join #{%w[ab cd][i % 2]} T #{i * 10}+10" }
      expect([5, 6, 7].map { |count| price(:changes, *changing.first(count)) }).to eq [0, 10, 10]
      rooms = Array.new(6) { |i| "join abcd T #{i * 10}+10 @#{(i % 2) + 1}" }
      expect([price(:changes, *rooms.first(5)), price(:changes, *rooms)]).to eq [0, 10]
    end

    it "for brothers and sisters apart, the youngest late, and new work late in the season" do
      apart = ["learn a T 0+20", "learn b T 20+20"]
      expect([price(:siblings, *apart, siblings: ["ab"]), price(:siblings, *apart)]).to eq [20, 0]
      expect([price(:small_late, *apart, young: "b"), price(:small_late, *apart, young: "a")]).to eq [10, 5]
      fresh = (1..10).map { |on| price(:late_new, "learn abcde T 0+20 ##{on}", evenings: 10) }
      expect(fresh).to eq [0, 2, 4, 6, 8, 10, 12, 14, 96, 98]
      expect(price(:late_new, "clean abcde T 0+20 #10", evenings: 10)).to eq 0
    end
  end
end
