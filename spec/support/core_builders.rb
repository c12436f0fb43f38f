# frozen_string_literal: true

# Short ways to core values in specs.
module CoreBuilders
  def rows(*counts) = counts.map { |count| Core::Piece::Row.new(counts: count) }

  def section(id, *counts, **facts)
    Core::Piece::Section.new(id:, name: facts.delete(:name) || "Section #{id}", rows: rows(*counts), **facts)
  end

  def link(section, **facts) = Core::Piece::Link.new(section:, **facts)

  def work(*links, **facts)
    Core::Piece::Work.new(
      title: "A piece",
      links:,
      sections: facts.delete(:sections) || links.map(&:section).uniq,
      **facts
    )
  end

  def entry(id, kind, day, rung: 0, **facts)
    Core::Learning::Entry.new(id:, kind:, day: Date.iso8601(day), rung:, **facts)
  end

  # {[person, item key] => rung} => Progress.
  def progress_of(rungs)
    cells =
      rungs
        .group_by { |(_, key), _| key }
        .transform_values { |same| same.to_h { |(person, _), rung| [person, Core::Learning::Cell.new(rung:)] } }
    Core::Learning::Progress.new(cells)
  end

  def task(id, kind, minutes, **facts) = Core::Planning::Task.new(id:, kind:, minutes:, **facts)

  def window(id, date, from, to, rooms: [["r", 40]])
    Core::Planning::Window.new(
      id:,
      date:,
      start: Formats::Times.minutes(from),
      finish: Formats::Times.minutes(to),
      rooms:
    )
  end
end
