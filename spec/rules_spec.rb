# frozen_string_literal: true

require "web_helper"
require "tmpdir"
require_relative "support/folder_cycles"
require_relative "support/named_constants"
require_relative "support/told_calls"

# The rules of the house must see what breaks them: each is shown one fault of every kind.
RSpec.describe "what the house rules see" do
  around { |example| Dir.mktmpdir { |dir| (@dir = dir) && example.run } }

  def written(text, name = "made_up.rb")
    File.join(@dir, name).tap do |file|
      FileUtils.mkdir_p(File.dirname(file))
      File.write(file, text)
    end
  end

  it "a name in full, a short one, and another name for the same" do
    {
      "module App; module Home; Core::Planning::Solver; end; end" => "Core::Planning::Solver",
      "module Core; module Planning; Solver; end; end" => "Core::Planning::Solver",
      "module App; module Planning; module Actions; class Make; Planning::Solver; end; end; end; end" =>
        "Core::Planning::Solver",
      "module Core; module Movement; class Counting; Token; end; end; end" => "Core::Movement::Tokens::Token"
    }.each { |text, name| expect(NamedConstants.in(written(text))).to include(name), text }
  end

  it "names in the tags of a template, and no words of its text" do
    page = written("<p>Core::Piece</p>\n<% rows.each do |row| %>\n<%= Core::Floor::Stage.of(\"Records\") %>", "x.erb")
    expect(NamedConstants.in(page)).to eq ["Core::Floor::Stage"]
  end

  it "a file that is no Ruby, and one that says nothing" do
    expect { NamedConstants.in(written("module Oops; def; end")) }.to raise_error NamedConstants::NothingNamed
    expect { NamedConstants.in(written("# nothing\n")) }.to raise_error NamedConstants::NothingNamed
  end

  it "every way to the clock, to chance and to the process" do
    {
      "x = Date.today" => "Date.today", "def at = DateTime.now" => "DateTime.now", "Time.now.to_i" => "Time.now",
      "def roll = rand(6)" => "rand", "names.shuffle" => ".shuffle", "names.sample(2)" => ".sample",
      "Random.new_seed" => "Random.new_seed", "sleep 1" => "sleep", "puts name" => "puts", "`date`" => "`",
      "key = row.object_id" => "object_id", "Object.const_get(name)" => "const_get", "Kernel.srand" => "Kernel.srand"
    }.each { |text, call| expect(ToldCalls.in(written(text))).to include(call), text }
  end

  it "nothing in what is handed in, in words and in comments" do
    ["names.shuffle(random:)", "# Date.today", "x = \"rand and puts\"", "Date.new(2027, 2, 2)", "def print(to) = to"]
      .each { |text| expect(ToldCalls.in(written(text))).to be_empty, text }
  end

  it "a question to the database that could be answered with another studio's rows" do
    open = ["SELECT \"people\".* FROM \"people\" WHERE \"people\".\"name\" = $1",
            "SELECT COUNT(*) FROM \"sections\"", "SELECT 1 AS one FROM \"pieces\" WHERE \"pieces\".\"id\" = $1 LIMIT 1"]
    bound = ["SELECT \"people\".* FROM \"people\" WHERE \"people\".\"studio_id\" = $1",
             "SELECT \"sections\".* FROM \"sections\" WHERE \"sections\".\"piece_id\" = $1",
             "SELECT \"accounts\".* FROM \"accounts\" WHERE \"accounts\".\"email\" = $1"]
    expect(open.map { |sql| StudioQueries.open?(sql) }).to all be true
    expect(bound.map { |sql| StudioQueries.open?(sql) }).to all be false
    expect { Records::Person.where(name: "Ada").to_a }.not_to change(StudioQueries.found, :size)
  end

  it "folders that name each other both ways, and through a third" do
    { "a" => "Two", "b" => "Three", "c" => "One" }.zip(%w[One Two Three]).each do |(folder, other), own|
      written("module RulesMadeUp; module #{own}; def self.x = #{other}; end; end", "#{folder}/x.rb")
    end
    stub_const("RulesMadeUp", Module.new)
    %w[One Two Three].each { |name| RulesMadeUp.const_set(name, Module.new) }
    expect(FolderCycles.new(@dir).found.size).to eq 3
  end
end
