# frozen_string_literal: true

require "json"

module Bench
  # How well everyday speech is understood: spec/corpus/everyday.json and everyday_joins.json, each in two halves (the
  # reader was made with the first; the second was kept apart). MISSES=yes lists what is not right in the first half.
  # LINES=file and JOINS=file read others of the same kind, as one half.
  class Reading
    VALUES = %w[weight level facing].freeze
    MARKS = %i[right nothing wrong].freeze

    def run
      halves(ENV.fetch("LINES", corpus("everyday"))).each { |name, cases| lines(name, cases) }
      halves(ENV.fetch("JOINS", corpus("everyday_joins"))).each { |name, cases| joins(name, cases) }
    end

    # {"right" or "nothing" or "wrong" by value} of one line.
    def self.judge(given, body)
      VALUES.to_h do |value|
        claimed = claim(body.public_send(value))
        expected = given["expect"][value].to_s
        right = claimed == expected
        [value, right ? :right : { "unknown" => :nothing }.fetch(claimed, :wrong)]
      end
    end

    # What is claimed of a value: what is supposed, chosen or unsaid is no claim.
    def self.claim(known) = known.known? && !%i[supposed choice].include?(known.source) ? known.value.to_s : "unknown"

    # The body at the end of a line. given: {"text", "counts"}.
    def self.ending(given)
      lines = Core::Movement::Reader.new.read(given["text"], counts: given["counts"] || 8)
      Core::Movement::Walk.new(lines).exit
    end

    # "fits", "clash" or "ask" of one join.
    def self.verdict(given) = { question: "ask", clash: "clash" }.fetch(join(given).verdict, "fits")

    # The join between two typed edges, as it is held.
    def self.join(given)
      sections = %w[leave enter].map { |side| section(side, given[side]) }
      links = sections.map { |section| Core::Piece::Link.new(section:) }
      work = Core::Piece::Work.new(title: "", sections:, links:)
      Core::Joins::Review.new(work).joins.first
    end

    def self.section(id, side)
      side = { "text" => side, "counts" => 8 } if side.is_a?(String)
      Core::Piece::Section.new(id:, name: id, rows: [Core::Piece::Row.new(counts: side["counts"], text: side["text"])])
    end
    private_class_method :section

    private

    def corpus(name) = File.expand_path("../spec/corpus/#{name}.json", __dir__)

    def halves(file)
      cases = JSON.parse(File.read(file))
      return { File.basename(file) => cases } unless file.include?("spec/corpus/")

      { "first half" => cases.first((cases.size + 1) / 2), "second half" => cases.drop((cases.size + 1) / 2) }
    end

    def lines(name, cases)
      marks = cases.map { |given| self.class.judge(given, self.class.ending(given)) }
      puts "#{cases.size} lines, #{name}"
      VALUES.each { |value| puts share(value, marks.map { |mark| mark[value] }) }
      puts share("together", marks.flat_map(&:values))
      puts share("all three", marks.map { |mark| MARKS.reverse.find { |each| mark.value?(each) } })
      tell(name, cases.zip(marks)) { |given, mark| [mark.values.uniq != [:right], seen(given)] }
    end

    def share(value, marks)
      counted = MARKS.map { |mark| format("%s %5.1f %%", mark, marks.count(mark) * 100.0 / [marks.size, 1].max) }
      format("  %-10s %s", value, counted.join("   "))
    end

    def seen(given)
      body = self.class.ending(given)
      VALUES.map { |value| "#{given['expect'][value]}/#{self.class.claim(body.public_send(value))}" }.join(" ")
    end

    def joins(name, cases)
      said = cases.map { |given| [given, self.class.verdict(given)] }
      puts "#{cases.size} joins, #{name}"
      right = said.count { |given, verdict| given["verdict"] == verdict }
      puts format("  right %5.1f %%   %s", right * 100.0 / cases.size, falsely(said))
      tell(name, said) { |given, verdict| [given["verdict"] != verdict, "#{given['verdict']}/#{verdict}"] }
    end

    def falsely(said)
      all = said.size
      fits = said.count { |given, verdict| verdict == "fits" && given["verdict"] != "fits" }
      clash = said.count { |given, verdict| verdict == "clash" && given["verdict"] != "clash" }
      known = said.reject { |given, _| given["verdict"] == "ask" }
      asked = known.count { |_, verdict| verdict == "ask" }
      format(
        "false fits %4.1f %%   false clashes %4.1f %%   of those that can be known, asked %4.1f %%",
        fits * 100.0 / all,
        clash * 100.0 / all,
        asked * 100.0 / [known.size, 1].max
      )
    end

    # The misses of what the reader may be made with; the second half is never listed.
    def tell(name, judged)
      return unless ENV["MISSES"] && name != "second half"

      judged.each do |given, mark|
        missed, seen = yield(given, mark)
        puts "    #{seen}  #{given['text'] || given.values_at('leave', 'enter').inspect}" if missed
      end
    end
  end
end
