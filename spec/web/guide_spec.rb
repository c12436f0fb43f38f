# frozen_string_literal: true

require "web_helper"
require "support/route_world"

# The guide (docs/guide.md) is followed as it stands: every page it names is there under that name, and what it sets in
# bold stands on that page to be tapped or filled in.
RSpec.describe "the guide", :web do
  include RouteWorld

  let(:director) { members.fetch("director") }
  let(:guide) { File.read(File.expand_path("../../docs/guide.md", __dir__), encoding: "UTF-8") }

  # [[path, words in bold], …] of the dozen steps, in order.
  def steps
    text = guide[/## A dozen steps\n(.*?)\n## /m, 1]
    text.split(/^\d+\. /).drop(1).map do |step|
      [step[%r{\]\((/[^)]*)\)}, 1], step.scan(/\*\*(.+?)\*\*/m).flatten.drop(step.start_with?("**") ? 1 : 0)]
    end
  end

  it "has a dozen steps, each on a page that is there, with what it names" do
    sign_in director
    make_season(studio)
    expect(steps.size).to eq 12
    steps.each do |path, labels|
      get path.sub(":piece", piece.id.to_s)
      follow_redirect! while last_response.redirect?
      expect(last_response.status).to eq(200), path
      shown = Nokogiri::HTML(last_response.body).css("main").text.gsub(/\s+/, " ")
      labels.each { |label| expect(shown).to include(label.gsub(/\s+/, " ")), "#{path}: #{label}" }
    end
  end

  it "names no page of the studio that is not there, and no picture that is not" do
    sign_in director
    paths = guide.scan(%r{(?<!!)\[[^\]]*\]\((/[^)]*)\)}).flatten.uniq
    statuses = paths.to_h { |path| [path, get(path.sub(":piece", piece.id.to_s)).status] }
    expect(statuses.values.uniq - [200, 302]).to eq([]), statuses.inspect
    pictures = guide.scan(%r{!\[[^\]]*\]\((screenshots/[^)]*)\)}).flatten
    expect(pictures).to all(satisfy { |name| File.file?(File.expand_path("../../docs/#{name}", __dir__)) })
  end

  it "stands under Help for every role, leading to the studio's own pages and pictures" do
    members.each_value do |member|
      sign_in member
      page = Nokogiri::HTML(get("/help").body)
      expect(page.css(".guide h2").map(&:text)).to include("A dozen steps", "In a week", "The words")
      expect(page.css(".guide a").map { |link| link["href"] }).to include("/pieces/#{piece.id}/plan")
      expect(page.css(".guide img").map { |image| get(image["src"]).status }.uniq).to eq [200]
    end
    expect(get("/help/screenshots/..%2Fguide.md").status).to eq 404
  end
end
