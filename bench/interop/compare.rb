# frozen_string_literal: true

# Sets what others read of our files, and what we read of theirs, beside what it should be.
require_relative "sample"

DIR = ARGV.fetch(0)
FOUND = JSON.parse(File.read(File.join(DIR, "theirs.json")))
ROWS = [] # rubocop:disable Style/MutableConstant -- filled below

def set(format, tool, way, what, right) = ROWS << [format, tool, way, what, right ? "as written" : "DIFFERS"]
def theirs(name) = File.binread(File.join(DIR, name))

def moment(date, minute)
  local = Time.utc(date.year, date.month, date.day, minute / 60, minute % 60)
  TZInfo::Timezone.get(Interop::ZONE).local_to_utc(local).strftime("%Y-%m-%dT%H:%M:%S+00:00")
end

events = Interop::EVENTS.map { |uid, date, from, to, text| [uid, moment(date, from), moment(date, to), text] }
set("ics", "python3-icalendar", "out", "keys, moments in UTC, words", FOUND["ics"] == events)

written = [Interop.table.columns, *Interop.table.rows.map { |row| row.map { |c| c.is_a?(Date) ? c.iso8601 : c } }]
set("xlsx", "python3-openpyxl", "out", "every cell with its kind", FOUND["xlsx"] == written)
set("xlsx", "python3-openpyxl", "out", "no formulas", FOUND["xlsx_formulas"].zero?)
safe = written.map { |row| row.map { |cell| cell.to_s.sub(/\A=/, "'=") } }
set("csv", "python3 csv", "out", "every cell, formulas defused", FOUND["csv"] == safe)

tempi = FOUND["mid"].grep(/Tempo/).map { |line| (60_000_000.0 / line.split(", ").last.to_i).round(2) }
set("mid", "midicsv", "out", "tempi", tempi == Interop::TEMPO.map(&:last))
markers = FOUND["mid"].grep(/Marker_t/).filter_map { |line| line[/"(.*)"/, 1] }
set("mid", "midicsv", "out", "markers", markers == [Formats::Midi::FIRST, *Interop::MARKERS.map(&:last)])
set("mid", "midicsv", "out", "a click on every count", FOUND["mid"].grep(/Note_on_c/).size == 128)

sound = FOUND["wav"]
set("wav", "sox", "out", "mono, 16 bits, length with its last click",
    sound.values_at("channels", "bits") == %w[1 16] && (sound["seconds"].to_f - 10.3).abs < 0.01)

set("pdf", "qpdf --check", "out", "no fault", FOUND["pdf_check"].zero?)
set("pdf", "pdftotext", "out", "names in three scripts", Interop::NAMES.all? do |name|
  FOUND["pdf_text"].include?(name)
end)
set("pdf", "pdffonts", "out", "every font embedded", FOUND["pdf_fonts"].all? { |line| line.split[-5] == "yes" })

days = Date.new(2027, 1, 1)..Date.new(2027, 12, 31)
busy = Formats::Calendar.parse(theirs("theirs.ics"), zone: Interop::ZONE, days:).busy
set("ics", "python3-icalendar", "in", "a weekly event three times, a whole day",
    busy.map { |each| [each.date.to_s, each.start, each.finish] } ==
      [["2027-02-02", 1080, 1170], ["2027-02-09", 1080, 1170], ["2027-02-16", 1080, 1170], ["2027-03-01", nil, nil]])

class_list = Formats::Xlsx.parse(theirs("theirs.xlsx")).first
text = [class_list.columns, *class_list.rows].map { |row| row.join("\t") }.join("\n")
roster = Formats::Roster.parse(text)
set("xlsx", "python3-openpyxl", "in", "a roster: names, groups, the line without a name",
    roster.people.map { |each| [each.name, each.groups] } ==
      [["Zoë Łęcka", %w[Scouts Solo]], ["Νίκη Αδάμ", ["Nurses"]], ["=Bram Oak", []]] &&
      roster.faults.map(&:kind) == [:no_name])

music = Formats::Midi.parse(theirs("theirs.mid"))
set("mid", "csvmidi", "in", "tempi and markers on their counts",
    [music.tempo, music.markers] == [[[1, 120.0], [33, 100.0]], [[1, "Intro"], [33, "Chorus"]]])

widths = ROWS.transpose.map { |column| column.map(&:size).max }
ROWS.each { |row| puts row.zip(widths).map { |cell, width| cell.ljust(width) }.join("  ").rstrip }
exit(ROWS.all? { |row| row.last == "as written" } ? 0 : 1)
