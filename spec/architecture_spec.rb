# frozen_string_literal: true

require "spec_helper"
require "ripper"
require "open3"

# The house rules, held by reading the code.
# A query that starts at a model; what belongs to no studio, or is found by a secret, may.
BARE =
  /Records::(?!Account|PersonLink|Invitation|PasswordReset|Heartbeat|Mail\b|Mapping|Token|Studio)\w+\.(find|find_by|where|all|first|last)\b/
FORBIDDEN = {
  "core" => %w[Formats Records App Sinatra ActiveRecord File Dir ENV IO STDIN STDOUT Time Process JSON Net],
  "formats" => %w[Records App Sinatra ActiveRecord File Dir ENV Net],
  "records" => %w[Formats App Sinatra ENV File Net],
  "app" => %w[PG]
}.freeze

RSpec.describe "the house" do
  def files(dir) = Dir[File.join(HOUSE, dir, "**", "*.rb")]

  def constants(file)
    Ripper.lex(File.read(file)).select { |_, type, _, _| type == :on_const }.map { |_, _, name, _| name }
  end

  # Names used at the start of a path (A in A::B), which is what one layer may not say of another.
  def heads(file)
    tokens = Ripper.lex(File.read(file)).reject { |_, type, _, _| %i[on_sp on_comment].include?(type) }
    tokens.each_cons(2)
      .reject { |(before, token)| before[2] == "::" || token[1] != :on_const }
      .map { |_, token| token[2] }
  end

  FORBIDDEN.each do |dir, names|
    it "#{dir} names none of #{names.join(', ')}" do
      found =
        files(dir).flat_map { |file| (heads(file) & names).map { |name| "#{file.delete_prefix(HOUSE)}: #{name}" } }
      expect(found).to be_empty
    end
  end

  it "loads the core in a bare Ruby, with the standard library only, without a warning" do
    output, status =
      Open3.capture2e(
        "ruby",
        "--disable-gems",
        "-w",
        "-e",
        "require '#{HOUSE}/core/core'; print Core::Planning::Solver.name"
      )
    expect([output, status.success?]).to eq ["Core::Planning::Solver", true]
  end

  it "has no cycle between the core's folders" do
    uses = Dir[File.join(HOUSE, "core", "*/")].to_h do |dir|
      others =
        Dir[File.join(dir, "**", "*.rb")].flat_map { |file| constants(file) } &
        %w[Values Music Piece Joins Learning Planning Movement Floor Running]
      [File.basename(dir).capitalize, others - [File.basename(dir).capitalize]]
    end
    reach = ->(from, seen) { (uses[from] || []).each { |to| seen.include?(to) || reach.call(to, seen << to) } && seen }
    circular = uses.keys.select { |name| (uses[name] || []).any? { |to| reach.call(to, [to]).include?(name) } }
    expect(circular).to be_empty
  end

  it "never asks a model for rows without going through the studio" do
    bare = files("app").reject { |file| file.include?("/demo/") }.flat_map do |file|
      File.readlines(file).each_with_index.filter_map do |line, i|
        if line.match?(
          /Records::(?!Account|PersonLink|Invitation|PasswordReset|Heartbeat|Mail\b|Mapping|Token|Studio)\w+\.(find|find_by|where|all|first|last)\b/
        ) && !line.include?("studio")
          "#{file.delete_prefix(HOUSE)}:#{i + 1}"
        end
      end
    end
    expect(bare).to be_empty
  end

  it "keeps files and templates within their sizes" do
    long =
      files("core").select { |f| File.readlines(f).size > 200 } +
      %w[app formats records].flat_map { |d| files(d) }.select { |f| File.readlines(f).size > 300 }
    templates = Dir[File.join(HOUSE, "app", "*", "views", "*.erb")].select { |f| File.readlines(f).size > 80 }
    expect(long + templates).to be_empty
  end
end
