# frozen_string_literal: true

RSpec.describe Core::Planning::AgeBands do
  {
    "under 8" => "under_8", "U8" => "under_8", "6" => "under_8", "8–11" => "8_11", "10" => "8_11",
    "12 to 15" => "12_15", "16-17" => "16_17", "17" => "16_17", "adult" => "adult", "18+" => "adult", "34" => "adult",
    "maybe" => nil, "" => nil
  }.each do |text, band|
    it("reads #{text.inspect} as #{band.inspect}") { expect(described_class.said(text)).to eq band }
  end

  it "asks for less than the studio does, never for more, and for nothing where no band is said" do
    expect([described_class.home_by("8_11", 1320), described_class.home_by("16_17", 1230)]).to eq [1200, 1230]
    expect([described_class.minutes_a_day("under_8", 300), described_class.minutes_a_day(nil, 300)]).to eq [90, 300]
    expect(described_class.home_by(nil, 1320)).to eq 1320
  end

  it "has the young at home before the others, cooled down" do
    there = Core::Planning::Availability.new(
      minors: %w[ada bram cleo], latest: 1320, homes: { "ada" => 1110, "bram" => 1200 }
    )
    late = there.on("2027-02-02", opening: 1020, closing: 1215)
    expect(late.map { |away| away.values_at(:who, :from) }).to eq [["ada", 1105], ["bram", 1195]]
  end
end
