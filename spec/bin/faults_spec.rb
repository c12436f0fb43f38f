# frozen_string_literal: true

require "spec_helper"
require "open3"

# One round of kills under a steady load; bin/faults --rounds N does more.
RSpec.describe "bin/faults", :long do
  it "finds whatever was acknowledged stored, nothing twice, and everything back by itself" do
    report, status = Open3.capture2e("bin/faults", "--rounds", "1", chdir: HOUSE)
    expect(status).to be_success, report
    expect(report).to match(/ticks \| [1-9]\d* \| 0 \| 0/).and match(/edits \| [1-9]\d* \| 0 \| 0/)
    expect(report).to include("web server | 1", "worker | 1", "one database backend | 1", "database server | 1")
  end
end
