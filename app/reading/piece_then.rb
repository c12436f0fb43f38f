# frozen_string_literal: true

module App
  module Reading
    # A piece as it was on an evening: what was run then is measured on what there was to run. Of the revisions, the
    # last that was kept before the moment; the piece as it is where nothing was kept since.
    module PieceThen
      module_function

      # snapshot: of the piece as it is now. Answers a Core::Piece::Work.
      def work(piece, snapshot, moment)
        revisions = piece.revisions.order(:number)
        return snapshot.work if revisions.where("created_at > ?", moment).none?

        row = revisions.where(created_at: ..moment).last
        row ? snapshot.of_work([:then, row.number]) { read(row, snapshot.work) } : snapshot.work
      end

      # The same for a Records::Run: when it was said to begin.
      def of_run(run, snapshot) = work(run.piece, snapshot, Time.at(run.said_at / 1000.0).utc)

      # A revision as the rows it was kept of: their numbers are numbers.
      def read(row, now)
        work = Formats::Piece.parse(row.work.to_json).first
        sections = work.sections.to_h { |section| [section.id, numbered(section)] }
        work.with(
          groups: work.groups.map { |id, name| [id.to_i, name] }, sections: sections.values,
          links: work.links.map { |link| link.with(id: link.id.to_i, section: sections.fetch(link.section.id)) }
        )
      rescue Formats::FaultyFile, Core::ValueError
        now
      end

      def numbered(section)
        parts = section.parts_said? ? section.parts.map { |part| part.with(group: part.group.to_i) } : []
        section.with(id: section.id.to_i, parts:, cast_groups: section.cast_groups.map { |id, name| [id.to_i, name] })
      end
    end
  end
end
