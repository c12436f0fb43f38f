# frozen_string_literal: true

# Whole pieces as directors list them (spec/corpus/structure_lists.txt), written before the rules that read them.
RSpec.describe Core::Piece::StructureReader do
  def self.pieces
    File.read(File.expand_path("../corpus/structure_lists.txt", __dir__)).split(/^## /).drop(1).map do |text|
      head, *lines = text.lines.map(&:chomp).reject(&:empty?)
      title, people, total = head.split(" | ")
      lines = lines.map { |line| line.rpartition(" => ").values_at(0, 2) }
      { title:, people: people.split(", "), total:, lines: }
    end
  end

  # "Chorus | 32 | Jo + Sam | =Verse ~ *" of each link that a line became.
  def said(structure, number, seen)
    structure.accounts[number].links.map do |link|
      sketch = structure.sections[link.section]
      again = seen.include?(link.section)
      seen << link.section
      { section: link.called.empty? ? sketch.name : link.called, counts: structure.counts(link)&.to_s || "?",
        teachers: link.teachers.to_a.join(" + "), of: (sketch.name if again), mirrored: link.mirrored,
        changed: link.altered }
    end
  end

  def wanted(text)
    text.split(" ; ").map do |each|
      section, counts, teachers, flags = each.split(" | ")
      { section:, counts:, teachers:, of: flags.to_s[/=([^~*]+)/, 1]&.strip, mirrored: flags.to_s.include?("~"),
        changed: flags.to_s.include?("*") }
    end
  end

  def plain(link) = link.transform_values { |value| value.is_a?(String) ? value.downcase : value }

  def asks?(structure, number) = structure.findings.any? { |found| found.line == number && found.ways&.any? }

  pieces.each do |piece|
    it "reads “#{piece[:title]}” as it was meant" do
      structure = described_class.new(piece[:lines].map(&:first).join("\n")).structure
      seen = []
      piece[:lines].each_with_index do |(typed, meant), i|
        case meant
        when "ask" then expect(asks?(structure, i + 1)).to be(true), typed
        when "note", "order"
          expect([structure.accounts[i + 1].links, structure.accounts[i + 1].note]).to match([[], String]), typed
        else
          found = said(structure, i + 1, seen)
          wanted(meant).zip(found).each do |want, got|
            want = want.merge(teachers: got[:teachers]) if got && want[:teachers] == "-"
            expect(got && plain(got)).to eq(plain(want)), "#{typed}: #{got}"
          end
          expect(found.size).to eq(wanted(meant).size), typed
        end
      end
      expect(structure.people.map { |person| person.name.downcase }).to match_array piece[:people].map(&:downcase)
      expect(structure.total_counts&.to_s || "?").to eq piece[:total]
    end
  end

  # Fillers and joints of a sentence; anything else that was typed has to be found again.
  def joints = Core::Piece::Listing::Words

  def words(text) = text.to_s.downcase.scan(/[\p{L}\p{N}]+/)

  it "accounts for every word of a line: none is lost on the way" do
    each_case(150) do |random|
      lists = self.class.pieces.flat_map { |piece| piece[:lines].map(&:first) }
      typed = Array.new(6) { mixed(lists.sample(random:), lists.sample(random:), random) }
      typed.each do |text|
        clause = Core::Piece::Listing::Clause.new(text)
        placed = clause.placed.map(&:first) + clause.brackets
        kept = [clause.name, clause.length&.said, clause.of, clause.said, placed, clause.away, clause.remarks]
        found = (kept.flatten.flat_map { |each| words(each) } + clause.spent).tally
        lost = words(text).reject { |word| word == "s" || (found[word].to_i.positive? && (found[word] -= 1)) }
        expect(lost).to eq([]), text
        strange = (clause.spent - known_joints).grep_v(/\Ax\d+\z/)
        expect(strange).to eq([]), "#{text}: #{strange}"
      end
    end
  end

  # Words that a rule may take out for good: those that say how things follow each other.
  def known_joints
    @known_joints ||= words(
      [joints::LEAD, joints::TRAIL, Core::Piece::Listing::Names::DID, Core::Piece::Listing::Echo.constants.map do |name|
        Core::Piece::Listing::Echo.const_get(name)
      end, Core::Piece::Listing::Teaching::JOINTS, Core::Piece::Listing::Amount::PATTERN].flatten
        .map { |each| each.respond_to?(:source) ? each.source : each.to_s }.join(" ").gsub(/\\[a-zA-Z]/, " ")
    ).flat_map { |word| [word, "#{word}s", "#{word}ed"] } + (0..999).map(&:to_s) +
      %w[s re ll ve d m o ning half not while as when at same time meanwhile]
  end

  # A line out of two: pieces of both, or one with its words changed about.
  def mixed(one, other, random)
    parts = [one, other].flat_map { |text| text.split(/(?<=[,;:-])/) }
    parts.sample(random.rand(1..parts.size), random:).join
  end

  it "takes whatever is typed, and stays quick" do
    alphabet = ["Smoke", ",", "6", "eights", "+", "again", "—", "é", "-", ";", "0", "999999", "\t", "(", ")", "x",
                "swap", "and", "the", "only", "last", "same as", "??", "1:20", "|", "'s", "Jo", "not", "while",
                "order is", "."]
    each_case(300, short: 100) do |random|
      lines = Array.new(random.rand(1..4)) { Array.new(random.rand(0..30)) { alphabet.sample(random:) }.join(" ") }
      text = lines.join("\n")
      expect { described_class.new("Smoke, 4 eights\n#{text}").structure }.not_to raise_error
    end
  end
end
