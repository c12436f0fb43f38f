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
end
