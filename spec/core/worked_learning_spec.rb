# frozen_string_literal: true

require "support/worked_learning"

# Seasons of learning worked out by hand (spec/corpus/learning.json).
RSpec.describe Core::Learning do
  WorkedLearning.all.each do |season|
    it season.name do
      season.expect.each do |question, answer|
        expect(season.answer(question, answer)).to eq(answer), "#{question}: #{season.answer(question, answer)}"
      end
    end
  end

  it "refuses a strand, a way and a kind of run that are none, and says which field" do
    expect { Core::Learning::Strand.new(track: "left") }.to raise_error(Core::ValueError, /track.*own/)
    expect { Core::Learning::Strand.new(track: "cover") }.to raise_error(Core::ValueError, /covers/)
    expect { Core::Learning::Strand.new(covers: 3) }.to raise_error(Core::ValueError, /covers/)
    expect { Core::Learning::Way.new(name: "luck") }.to raise_error(Core::ValueError, /way.*ticks/)
    expect { Core::Learning::Way.new(runs: 0) }.to raise_error(Core::ValueError, /runs/)
  end
end
