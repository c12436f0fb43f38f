# frozen_string_literal: true

require_relative "../../formats/calendar"
require_relative "../../formats/xlsx"
require_relative "../../formats/midi"
require_relative "../../formats/print"

# What goes out and comes back: letters of three scripts, what spreadsheets take for formulas, summer time, tempi.
module Interop
  ZONE = "Europe/London"
  NAMES = ["Zoë Łęcka", "Νίκη Αδάμ", "Жанна Ёлкина", "=1+1", "O'Neil, Ada"].freeze
  EVENTS = [["a@x", Date.new(2027, 2, 2), 1080, 1170, "Зима; winter, 1"],
            ["b@x", Date.new(2027, 7, 6), 600, 660, "Ωδή"]]
    .freeze
  TEMPO = [[1, 112.0], [33, 96.5], [97, 126.0]].freeze
  MARKERS = [[1, "Smoke"], [33, "Drift"]].freeze
  FONTS = { regular: "Lato-Regular.ttf", bold: "Lato-Bold.ttf", other: "DejaVuSans.ttf" }
    .transform_values { |file| File.expand_path("../../app/assets/fonts/#{file}", __dir__) }.freeze

  module_function

  def table
    rows = NAMES.each_with_index.map { |name, i| [name, i, i + 0.5, Date.new(2027, 3, 20) + i] }
    Formats::Table.new(name: "Who has it", columns: %w[Name Count Metres Day], rows:)
  end

  def calendar
    events = EVENTS.map do |uid, date, start, finish, summary|
      Formats::Calendar::Event.new(uid:, date:, start:, finish:, summary:, sequence: 1, cancelled: false,
                                   changed_at: Time.utc(2027, 1, 1))
    end
    Formats::Calendar.render(events, name: "Ada", zone: ZONE)
  end

  def midi
    track = Core::Music::Track.new(tempo: TEMPO, first_count_seconds: 2.5)
    clicks = (1..128).map { |beat| Formats::Midi::Click.new(beat:, kind: (beat % 8) == 1 ? :eight : :count) }
    Formats::Midi.render(track:, markers: MARKERS, clicks:, title: "Tide")
  end

  def wav
    clicks = (0..19).map { |i| Core::Room::Practice::Click.new(at: i * 0.5, kind: :first) }
    Formats::PracticeTrack.render(clicks, seconds: 10.25)
  end

  def pdf
    columns = table.columns.map { |heading| Formats::Print::Column.new(heading:, share: 1) }
    blocks = [Formats::Print::Table.new(columns:, rows: table.rows), Formats::Print::Points.new(NAMES)]
    sheet = Formats::Print::Sheet.new(title: "Interop", lines: [], blocks:, foot: "Studio")
    Formats::Print.render(sheet, paper: "a4", fonts: FONTS)
  end
end
