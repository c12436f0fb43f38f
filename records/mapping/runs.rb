# frozen_string_literal: true

module Records
  module Mapping
    # Rows of runs <-> Core::Running. Places are kept by link; where the link is gone from the piece, what happened
    # there has no count any more.
    class Runs
      Running = Core::Running
      private_constant :Running

      attr_reader :eights

      # order: Core::Piece::RunningOrder of the piece as it is now.
      def initialize(piece, order)
        @piece = piece
        @eights = Running::Eights.new(order)
        @index = order.links.to_h { |placed| [placed.link.id.to_i, placed.index] }
        @sections = order.links.reverse.to_h { |placed| [placed.section.id, placed.index] }
      end

      # [Records::Run] that were not taken back, oldest first.
      def rows
        @rows ||= @piece.runs.standing.includes(:rehearsal).to_a
          .sort_by { |row| [row.rehearsal.date, row.minute, row.said_at] }
      end

      # [Core::Running::Run] of which something was danced, oldest first.
      def all = @all ||= rows.filter_map { |row| run(row) }

      # One of them; nil where nothing of it was danced, or nobody has said yet that it ended.
      def ended(row) = (run(row) if steps(row).any? { |step| step.kind == "end" })

      # One of them, as far as it is known; nil where nothing of it was danced.
      def run(row)
        stretches = stretches(row)
        return if stretches.empty?

        Running::Run.new(id: row.id, kind: Running::Kind.of(row.kind), day: row.rehearsal.date, stretches:,
                         troubles: troubles_of(row.id).filter_map { |trouble| trouble(trouble) })
      end

      # The count of the piece of anything with link_id, row and at; nil where its link is gone.
      def count(place)
        link = @index[place.link_id] or return
        rows = @eights.of_link(link).size
        @eights.count_of(link, [place.row, rows].min, place.row > rows ? 0 : place.at)
      end

      # Index of a link (by its id) in the running order, or nil.
      def index(link_id) = @index[link_id]

      # {person id => [count of the piece]} of notes to individuals in a run.
      def noted(row)
        notes = row.notes.standing.where(kind: Note::WATCHED, about: "person")
        notes.filter_map { |note| [note.person_id, note_count(note)] if note_count(note) }
          .group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
      end

      # The count of the piece a note is about, in the first place of its section where no other was said; nil where it
      # has none.
      def note_count(note)
        link = @index[note.link_id] || first_of(note.section_id) or return
        @eights.count_of(link, [note.row || 1, @eights.of_link(link).size].min, note.at || 0)
      end

      # {run id => [Records::Trouble]} that stand.
      def troubles
        @troubles ||= @piece.troubles.standing.includes(:trouble_people).order(:id).group_by(&:run_id)
      end

      private

      def first_of(section_id) = @sections[section_id]

      def troubles_of(id) = troubles.fetch(id, [])

      def steps(row)
        @steps ||= RunStep.standing.where(run_id: rows.map(&:id)).in_order.group_by(&:run_id)
        @steps.fetch(row.id, [])
      end

      def trouble(row)
        at = count(row) or return
        Running::Trouble.new(id: row.id, count: at, kind: row.kind, groups: [row.group_id].compact,
                             people: row.trouble_people.map(&:person_id), everyone: row.everyone)
      end

      # What was danced without a stop. A run that nobody ended is known as far as the last thing said of it.
      def stretches(row)
        first = start(row)
        open = first&.floor
        found = []
        steps(row).each do |step|
          at = count(step)&.floor or next
          found << [open, at] if open && step.kind != "go" && at >= open
          open = step.kind == "go" ? at : nil
        end
        found << [open, last_known(row, open)] if open && last_known(row, open)
        found
      end

      def start(row)
        link = @index[row.link_id]
        link && @eights.count_of(link, [row.row, @eights.of_link(link).size].min)
      end

      def last_known(row, open)
        troubles_of(row.id).filter_map { |trouble| count(trouble)&.floor }.select { |at| at >= open }.max
      end
    end
  end
end
