# frozen_string_literal: true

require "spec_helper"

RSpec.describe Core::Planning::Supervision do
  def slot(key, from, to, room, people, teachers: [], movable: false)
    described_class::Slot.new(key:, start: from, finish: to, room:, people: people + teachers, teachers:, movable:)
  end

  def named(*slots, adults: %w[mel ona], minors: %w[ada bo], **more)
    described_class.new(slots, adults:, minors:, **more).all.transform_values(&:to_a)
  end

  let(:lesson) { slot(:lesson, 1095, 1125, "hall", %w[ada], teachers: ["mel"]) }

  it "names a teacher who is free then, the nearest in time first" do
    late = slot(:late, 1150, 1170, "hall", %w[bo], teachers: ["ona"])
    warm_up = slot(:warm_up, 1080, 1095, "hall", %w[ada bo], movable: true)
    cool_down = slot(:cool_down, 1170, 1175, "hall", %w[bo], movable: true)
    expect(named(warm_up, lesson, late, cool_down)).to eq(warm_up: %w[mel hall], cool_down: %w[ona hall])
  end

  it "moves a warm-up to the side of the room in which the only teacher works" do
    again = slot(:again, 1100, 1105, "studio", %w[bo], movable: true)
    expect(named(lesson, again)).to eq(again: %w[mel hall])
    expect(named(lesson, slot(:recap, 1100, 1105, "studio", %w[bo]))).to eq(recap: [nil, "studio"])
  end

  it "calls somebody else of the piece where no teacher is, the same one all along" do
    run = [slot(:warm_up, 1080, 1095, "hall", %w[ada]), slot(:run, 1095, 1110, "hall", %w[ada])]
    expect(named(*run, more: %w[ona mel ada])).to eq(warm_up: %w[mel hall], run: %w[mel hall])
  end

  it "asks nobody for adults, for whom an adult is there, or who is away or elsewhere" do
    warm_up = slot(:warm_up, 1080, 1095, "hall", %w[ada])
    expect(named(slot(:adults, 1080, 1095, "hall", %w[zoe]), lesson)).to eq({})
    expect(named(slot(:mixed, 1080, 1095, "hall", %w[ada zoe]), lesson, adults: %w[mel zoe])).to eq({})
    expect(named(warm_up, lesson, there: ->(*) { false })).to eq(warm_up: [nil, "hall"])
    other = slot(:other, 1085, 1090, "loft", %w[cy], teachers: ["mel"])
    expect(named(warm_up, lesson, others: [other])).to eq(warm_up: [nil, "hall"])
  end

  it "names nobody who would work longer on end than is worked, counted over both pieces until a rest" do
    run = slot(:run, 1125, 1140, "hall", %w[ada])
    other = slot(:other, 1080, 1095, "loft", %w[cy], teachers: ["mel"])
    limits = { on_end: 55, rest: 5 }
    expect(named(lesson, run, **limits)).to eq(run: %w[mel hall])
    expect(named(lesson, run, others: [other], **limits)).to eq(run: [nil, "hall"])
    expect(named(lesson, run, others: [other], more: ["ona"], **limits)).to eq(run: %w[ona hall])
    rested = slot(:other, 1075, 1090, "loft", %w[cy], teachers: ["mel"])
    expect(named(lesson, run, others: [rested], **limits)).to eq(run: %w[mel hall])
    long = slot(:run, 1125, 1150, "hall", %w[ada])
    expect([long, slot(:run, 1125, 1151, "hall", %w[ada])].map { |each| named(lesson, each, **limits)[:run].first })
      .to eq ["mel", nil]
  end

  it "has nobody in two rooms at once" do
    early = [slot(:one, 1080, 1095, "hall", %w[ada]), slot(:two, 1080, 1095, "loft", %w[bo])]
    expect(named(*early, lesson)).to eq(one: %w[mel hall], two: [nil, "loft"])
  end
end
