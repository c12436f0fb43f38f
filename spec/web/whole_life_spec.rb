# frozen_string_literal: true

require "web_helper"
require_relative "../support/whole_life"

# Whatever a director does over a season, in any order: no page fails, and what is told can be done.
RSpec.describe "a director's season", :long, :web do
  it "has no page that fails and nothing told that cannot be done" do
    each_case(2) do |random|
      life = WholeLife.new(self, random)
      life.live
      expect(life.faults).to eq []
    end
  end
end
