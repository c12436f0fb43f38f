# frozen_string_literal: true

require_relative "core_builders"

# A season of learning worked out by hand (spec/corpus/learning.json): a small piece, who dances it, the log as it was
# kept, and what is to be answered on a day.
#
# piece: sections in running order, "2'" the second again with another end; groups: {section => who dances it};
# log: [day, "who", item, kind, rung, more?] in the order it was kept; day: number of the day in March 2027.
class WorkedLearning
  include CoreBuilders

  Learn = Core::Learning

  attr_reader :name, :expect

  def self.all
    text = File.read(File.expand_path("../corpus/learning.json", __dir__), encoding: "UTF-8")
    JSON.parse(text).map { |given| new(given) }
  end

  def initialize(given)
    @name = given.fetch("name")
    @given = given
    @expect = given.fetch("expect")
  end

  # What the core says to one question of the case.
  def answer(question, about) = send(:"say_#{question}", about)

  private

  def say_cells(about) = about.keys.to_h { |cell| [cell, said(cell)] }
  def say_learned(about) = about.keys.to_h { |cell| [cell, progress.learned?(*cell.split)] }
  def say_blocks(about) = about.keys.to_h { |kind| [kind, blocks(kind)] }
  def say_runs(_) = longest.all.map { |chain| [chain.from, chain.to] }
  def say_longer(_) = longest.longer(longest.all.first).map(&:to_a)
  def say_catch_up(about) = about.keys.to_h { |who| [who, catch_up(who)] }
  def say_covers(about) = about.keys.to_h { |who| [who, covers(who)] }
  def say_waiting(_) = Learn::SignOffs.new(items, progress).all.map { |each| [each.item.key, each.people] }
  def say_gaps(_) = Learn::Coverage.new(items, progress).gaps.map { |line| line.item.key }
  def say_items(about) = about.keys.to_h { |who| [who, items.for(who).map(&:key)] }
  def say_behind(about) = about.keys.to_h { |who| [who, Learn::Pace.new(items, progress).behind(who)] }

  def today = Date.new(2027, 3, @given.fetch("today", 28))
  def cast = @given.fetch("cast").transform_values { |groups| Array(groups) }

  def links
    sections = Hash.new { |known, id| known[id] = section(id, 8, 8, parts: parts(id)) }
    @given.fetch("piece").each_with_index.map do |name, i|
      id = name.to_i
      name.to_s.end_with?("'") ? link(sections[id], id: i + 1, changes: another_end) : link(sections[id], id: i + 1)
    end
  end

  def another_end = Core::Piece::Changes.new(replace: { 2 => rows(8).first })
  def parts(id) = @given.fetch("groups", {}).fetch(id.to_s, []).map { |group| Core::Piece::Part.new(group:) }
  def items = @items ||= Learn::Items.new(work(*links), cast:)

  def ways = @given.fetch("ways", {}).transform_values { |name, runs| Learn::Way.new(name:, runs: runs || 3) }

  def progress
    @progress ||= begin
      strands = entries.group_by(&:first).transform_values { |same| cells(same.map { |each| each.drop(1) }) }
      Learn::Progress.new(strands.delete(Learn::Strand::OWN) || {}, ways:, strands:)
    end
  end

  def cells(entries)
    entries.group_by { |_, key, _| key }.transform_values do |same|
      same.group_by(&:first).transform_values { |rows| Learn::Cell.fold(rows.map(&:last)) }
    end
  end

  # [[Strand, who, item, Entry], …]
  def entries
    @given.fetch("log").each_with_index.flat_map do |(day, who, key, kind, rung, more), i|
      who.split.map { |name| [strand(more), name, key, made(i + 1, day, kind, rung, more)] }
    end
  end

  def made(id, day, kind, rung, more)
    Learn::Entry.new(id:, kind:, day: Date.new(2027, 3, day), rung: rung || 0, undoes: more && more["undoes"])
  end

  def strand(more)
    Learn::Strand.new(**(more || {}).slice("track", "layer", "covers").transform_keys(&:to_sym))
  end

  # "ada s1" or "ada s1 ensemble" => what its cell says.
  def said(cell)
    who, key, track = cell.split
    found = progress.on(track ? Learn::Strand.new(track:) : Learn::Strand::OWN).cell(who, key)
    [found.rung, *(found.freshness(today) unless found.last_danced_on.nil?), *("changed" if found.changed)].map(&:to_s)
  end

  def present = @given.fetch("present", items.everybody)

  def blocks(kind)
    Learn::Readiness.new(items, progress, kind:).blocks.map { |each| [each.item.key, each.more, each.lacking] }
  end

  def longest
    @longest ||= Learn::LongestChains.new(links: @given.fetch("piece").size, present:, items:, progress:)
  end

  def catch_up(who)
    Learn::CatchUp.new(items, progress, minutes: ->(_, left) { (left * 30).round }, groups: cast)
      .for(who).map { |line| [line.item.key, line.minutes, line.buddy] }
  end

  def covers(who)
    named = @given.fetch("understudies", {})
    Learn::Understudies.new(items, progress, named:).of(who, among: present)
      .map { |cover| [cover.person, cover.learned, cover.items, cover.busy] }
  end
end
