# frozen_string_literal: true

module Bench
  # bin/chain check in this process: pieces of 25, 50 and 100 links from two fifths as many sections, every eight
  # different.
  class Check
    TEXTS = [
      "1 step R 2 close L 3& ball-change R L 5-6 turn half right 7 hold 8 jump apart",
      "1&2 triple R 3&4 triple L 5-8 jazz square R",
      "1 step L 2 kick R 3 step R 4 touch L 5-6 kneel 7-8 get up",
      "5 6 wait 7 step R 8& ball ch L R 1 kick L 2 - pdb 3&4"
    ].freeze

    def run
      [25, 50, 100].each do |links|
        work = piece(links)
        walked = Bench.median(Bench.times(9) { walk(work) })
        joined = Bench.median(Bench.times(9) { join(walk(work)) })
        eights = work.order.total_counts / 8
        puts format(
          "%3d links, %4d eights: walked %6.1f ms, %.3f ms an eight; with joins and mends %6.1f ms, %.3f",
          links,
          eights,
          walked,
          walked / eights,
          joined,
          joined / eights
        )
      end
    end

    private

    def walk(work) = Core::Piece::Check.new(work).tap { |check| [check.links, check.findings, check.forks] }
    def join(check) = Core::Joins::Review.new(check.work, danced: check.danced).joins

    def piece(count)
      sections = Array.new(count * 2 / 5) do |i|
        rows = Array.new(6) { |n| Core::Piece::Row.new(counts: 8, text: "#{TEXTS[(i + n) % TEXTS.size]} (#{i} #{n})") }
        Core::Piece::Section.new(id: i, name: "Part #{i}", rows:)
      end
      links =
        Array.new(count) { |i| Core::Piece::Link.new(section: sections[i % sections.size], mirrored: (i % 3).zero?) }
      Core::Piece::Work.new(title: "Bench", sections:, links:)
    end
  end
end
