# frozen_string_literal: true

# Nothing typed is lost on its way into moves, and nothing is claimed behind a word that nobody read.
RSpec.describe Core::Movement::Accounting do
  corpus = JSON.parse(File.read(File.expand_path("../corpus/everyday.json", __dir__), encoding: "UTF-8"))
  clauses = corpus.flat_map { |given| given["text"].split(/[,;.]\s*/) }.map(&:strip).reject(&:empty?).uniq
  odd = %w[glorp frindle blanket zimmering]

  def words(text) = text.to_s.downcase.scan(/[\p{L}']+/)
  def read(text) = Core::Movement::Reader.new.read(text)

  def idle?(word)
    word == "x" || Core::Movement::Lexicon.words([word]).all? { |each, _| Core::Movement::Lexicon.idle?(each) }
  end

  def shown(lines)
    lines.flat_map do |line|
      groups = line.groups ? [*line.groups.texts, *line.groups.names] : []
      [*line.moves.map(&:text), *line.cues.map(&:first), *line.kept, line.exit[:place], *line.versions.flatten, *groups]
    end
  end

  it "sorts every word of 10,000 lines into moves, cues, kept words and what is said of the body" do
    lost = {}
    random = Random.new(Seeded::FIRST)
    10_000.times do
      text = Array.new(random.rand(1..3)) { clauses.sample(random:) }.join(", ")
      lines = read(text)
      left = words(text) - words([*shown(lines), *lines.flat_map(&:heard)].join(" "))
      lost[text] = :unreadable if lines.any? { |line| line.faults.any? { |fault| fault.kind == :unreadable } }
      left.reject { |word| idle?(word) }.each { |word| lost[word] = text }
    end
    expect(lost).to eq({})
  end

  it "shows a word that nobody knows wherever it stands" do
    each_case(600) do |random|
      typed = clauses.sample(random:).split
      word = odd.sample(random:)
      text = typed.insert(random.rand(0..typed.size), word).join(" ")
      next if Core::Movement::Corrections.possible?(text)

      expect(shown(read(text)).join(" ").downcase).to include(word), text
    end
  end

  it "claims nothing of the feet behind a word that nobody knows, unless it names a thing" do
    ["1 step R 2 glorp", "1 step R 2 step glorp L", "step R L frindle", "walk R L, zimmering", "1-4 walk L 5 glorp R"]
      .each do |text|
        expect(Core::Movement::Walk.new(read(text)).exit.weight.source).to eq(:supposed), text
      end
    expect(Core::Movement::Walk.new(read("1 step R 2 step L to the glorp")).exit.weight.source).to eq :derived
    expect(Core::Movement::Walk.new(read("1 step R 2 glorp 3 step R 4 step L")).exit.weight.value).to eq :left
  end

  it "keeps what no part of a line took" do
    account = described_class.new("step R blurbo do, and step L")
    account.take("step R")
    account.take("step L")
    expect(account.left).to eq [[2, "blurbo"]]
  end
end
