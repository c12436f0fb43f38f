# frozen_string_literal: true

require "json"
require_relative "../../bench/all"
require_relative "../../bench/reading"
require_relative "worlds"

# What is read of the corpora that only count shares, and what the core says of a few made-up worlds, kept line by line,
# so that a change in any of them is seen. bin/snapshots writes them anew; what changed is looked at before it is
# committed.
module Snapshots
  DIR = File.expand_path("../corpus", __dir__)

  module_function

  # Worlds that are told whole, and those of which only a digest a topic is kept.
  TOLD = (1..2)
  DIGESTED = (3..14)

  # {name => [text, …]}, a line for each case.
  def all = { "everyday" => lines, "everyday_joins" => joins, "worlds" => worlds }

  def kept(name) = File.readlines(file(name), chomp: true, encoding: "UTF-8")
  def write = all.each { |name, texts| File.write(file(name), "#{texts.join("\n")}\n") }

  def file(name) = File.join(DIR, "#{name}_read.txt")
  def cases(name) = JSON.parse(File.read(File.join(DIR, "#{name}.json"), encoding: "UTF-8"))

  # As typed, each move on its count, how it ends, how it ends on the other side, and as it is written again.
  def lines
    cases("everyday").map do |given|
      read = Core::Movement::Reader.new.read(given["text"], counts: given["counts"] || 8)
      other = read.map { |line| Core::Movement::Mirror.line(line) }
      again = read.map { |line| Core::Movement::Writer.new(line).text }.join(" // ")
      [given["text"], read.flat_map(&:moves).map { |move| move(move) }.join(", "), ending(read), ending(other), again]
        .join(" | ").tr("\n", " ")
    end
  end

  def move(move)
    facts = [move.side, *move.feet, move.turn, move.facing, move.level, move.travel, move.weight, *move.doubts]
    at = move.at ? "#{move.at}+#{move.length}" : "open"
    ["#{at} #{move.step || move.kind}", *facts.compact.reject { |fact| fact == 0 }].join(" ")
  end

  def ending(lines)
    body = Core::Movement::Walk.new(lines).exit
    values = %i[weight facing level].map { |name| body.public_send(name) }
    values.map { |known| "#{known.value || '?'} #{known.source}" }.join(", ")
  end

  def joins
    cases("everyday_joins").map do |given|
      held = Bench::Reading.join(given)
      findings = held.findings.map { |finding| [finding.verdict, finding.state].join(" ") }
      [given["leave"], given["enter"]].map { |side| side.is_a?(Hash) ? side["text"] : side }
        .push(held.verdict, *findings).join(" | ").tr("\n", " ")
    end
  end

  def worlds
    whole = TOLD.flat_map do |seed|
      World.new(seed).told.flat_map { |topic, texts| texts.map { |text| "#{seed} #{topic}: #{text}".tr("\n", " ") } }
    end
    short = DIGESTED.flat_map do |seed|
      World.new(seed).told.map { |topic, texts| "#{seed} #{topic} #{digest(texts)}" }
    end
    whole + short
  end

  def digest(texts) = Digest::SHA256.hexdigest(texts.join("\n"))[0, 16]
end
