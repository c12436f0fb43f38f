# frozen_string_literal: true

# Reads one file from elsewhere, in a process of its own with limits (App::Shared::Confined):
#   confined.rb KIND FILE {"plain": "values"}
# Prints {"answer": …}, or {"faults": […]} where the file is not right.
require_relative "encodings"
require "bundler/setup"
require "json"
require "time"
require_relative "../formats/formats"

KINDS = {
  "calendar" => lambda do |path, more|
    require_relative "../formats/calendar"
    days = Date.iso8601(more["from"])..Date.iso8601(more["to"])
    read = Formats::Calendar.parse(File.binread(path), zone: more["zone"], days:)
    { busy: read.busy.map { |each| [each.date.iso8601, each.start, each.finish, each.summary.to_s.scrub] },
      left_out: read.left_out.map { |name, why| [name.to_s.scrub, why] }, fault: read.fault }
  end,
  "workbook" => lambda do |path, _|
    require_relative "../formats/xlsx"
    Formats::Xlsx.parse(File.binread(path)).map(&:to_h)
  end,
  "manifest" => lambda do |path, _|
    require_relative "../formats/studio_archive"
    File.open(path, "rb") do |file|
      archive = Formats::StudioArchive.parse(file)
      { manifest: archive.manifest, tables: archive.tables, files: archive.files.size, strangers: archive.strangers }
    end
  end,
  # Each part as a file of its own below the folder, under a number; answers their names.
  "archive" => lambda do |path, more|
    require_relative "../formats/studio_archive"
    File.open(path, "rb") do |file|
      Formats::StudioArchive::Parts.new(file).each_with_index.map do |part, i|
        File.open(File.join(more["into"], i.to_s), "wb") { |out| part.copy(out) }
        part.name
      end
    end
  end
}.freeze

kind, path, more = ARGV
begin
  puts JSON.generate(answer: KINDS.fetch(kind).call(path, JSON.parse(more)))
rescue Formats::FaultyFile => e
  puts JSON.generate(faults: e.faults)
end
