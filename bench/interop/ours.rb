# frozen_string_literal: true

# Writes our files for others to read.
require_relative "sample"

dir = ARGV.fetch(0)
{ "ours.ics" => Interop.calendar, "ours.xlsx" => Formats::Xlsx.render([Interop.table]), "ours.mid" => Interop.midi,
  "ours.wav" => Interop.wav, "ours.pdf" => Interop.pdf, "ours.csv" => Formats::Csv.render(Interop.table) }
  .each { |name, bytes| File.binwrite(File.join(dir, name), bytes) }
