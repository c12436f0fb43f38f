# frozen_string_literal: true

require_relative "../support/snapshots"

# Every everyday line is read as it was when it was looked at last (bin/snapshots writes them anew).
RSpec.describe Snapshots do
  described_class.all.each do |name, texts|
    it "reads #{name} line by line as it was kept" do
      changed = (texts - described_class.kept(name)).first(5)
      expect(changed).to eq []
      expect(texts.size).to eq described_class.kept(name).size
    end
  end
end
