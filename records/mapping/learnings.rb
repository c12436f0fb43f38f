# frozen_string_literal: true

module Records
  module Mapping
    # The log and its derived state <-> Core::Learning. A cell is a person, an item and a strand.
    module Learnings
      Learn = Core::Learning
      STRAND = %i[track layer covers_person_id].freeze
      KEY = [:person_id, :item_key, *STRAND].freeze
      STATE = {
        rung: :rung, days: :days, last_danced_on: :last_danced_on, signed_off: :signed_off, changed: :changed_since,
        clean: :clean, reviewed: :reviewed, reported: :reported
      }.freeze
      OWN = { track: "own", layer: nil, covers_person_id: nil }.freeze
      BATCHES = TickBatches.new { |piece, entries| append_at_once(piece, entries) }
      private_constant :Learn, :STRAND, :KEY, :STATE, :OWN, :BATCHES

      module_function

      def ladder(piece) = Learn::Ladder.new(learned_from: piece.setting("learned_from"))

      # What counts as learned in the studio.
      def way(studio) = Learn::Way.new(name: studio.setting("learned_way"), runs: studio.setting("clean_runs"))

      # {item key => Way} of sections for which it is another, of their repeats and of what groups have of their own.
      def ways(piece)
        other = piece.sections.select(&:learned_way).to_h do |section|
          [section.id, Learn::Way.new(name: section.learned_way, runs: section.learned_runs || 3)]
        end
        return {} if other.empty?

        of_sections(piece, other).merge(of_differences(piece, other))
      end

      # Everybody's cells (or only some people's) as Core::Learning::Progress.
      def progress(piece, people: nil)
        rows = piece.learning_states
        rows = rows.where(person_id: people) if people
        cells = cells(rows)
        Learn::Progress.new(
          cells.delete(Learn::Strand::OWN) || {},
          ladder: ladder(piece),
          way: way(piece.studio),
          ways: ways(piece),
          strands: cells
        )
      end

      # The same with some cells read anew.
      def progress_with(piece, progress, keys)
        return progress if keys.empty?

        newer = cells(LedgerRows.states(piece, keys, STATE.values))
        progress.with(newer.delete(Learn::Strand::OWN) || {}, strands: newer)
      end

      # {Strand => {item key => {person id => Cell}}}; cells that are equal are one object.
      def cells(rows)
        rows = rows.pluck(*KEY, *STATE.values) unless rows.is_a?(Array)
        known = Hash.new { |cells, fields| cells[fields] = cell(fields) }
        strands = Hash.new { |all, fields| all[fields] = strand(*fields) }
        found = Hash.new { |all, strand| all[strand] = Hash.new { |keys, key| keys[key] = {} } }
        rows.each do |person, key, track, layer, covers, *fields|
          found[strands[[track, layer, covers]]][key][person] = known[fields]
        end
        found.to_h { |strand, keys| [strand, keys.to_h] }
      end

      def strand(track, layer, covers) = Learn::Strand.new(track:, layer:, covers:)
      def columns(strand) = { track: strand.track, layer: strand.layer, covers_person_id: strand.covers }
      def cell(fields) = Learn::Cell.new(**STATE.keys.zip(fields).to_h)

      # The Cell of one person's rows of the log.
      def folded(piece, rows)
        Learn::Cell.fold(rows.map { |row| entry(row) }, learned_from: piece.setting("learned_from"))
      end

      # The cell that a folded row of states holds.
      def cell_of(row) = Learn::Cell.new(**STATE.transform_values { |column| row[column] })
      def entry(row) = Learn::Entry.new(id: row.id, kind: row.kind, day: row.day, rung: row.rung, undoes: row.undoes_id)

      # Adds entries (rows of the log, without their seq; without a strand they are of the own part) and folds their
      # cells anew; answers the new states. What was sent before (the same client_id) is not added again. Rows are
      # locked in the order everybody keeps: cells by key, then the piece, whose number is held until the commit, so
      # that no lower one becomes visible later.
      def append(piece, entries)
        return [] if entries.empty?

        entries = entries.map { |entry| OWN.merge(entry) }
        return append_at_once(piece, entries) if LedgerEntry.connection.transaction_open?

        BATCHES.add(piece, entries)
      end

      def append_at_once(piece, entries)
        keys = sorted(entries.map { |entry| key_of(entry) })
        LedgerEntry.transaction do
          LedgerRows.lock(piece, keys)
          log = LedgerRows.of(piece, keys)
          fresh = unsent(entries, log)
          states = folded_with(piece, keys, log, fresh)
          fresh.any? ? LedgerRows.write(piece, fresh, states) : LedgerRows.save(states)
          states
        end
      end

      # Folds the log of these cells again and writes their state. keys: [[person, item key, track, layer, covers],
      # …].
      def refold(piece, keys)
        keys = sorted(keys)
        LedgerEntry.transaction do
          lock(piece, keys)
          read_anew(piece)
          fold(piece, keys)
        end
      end

      # The key of a cell of somebody's own part.
      def own(person, item_key) = [person, item_key, *OWN.values]

      # The key of the cell that an entry is about.
      def key_of(row) = KEY.map { |column| row[column] }

      def strand_of(row) = strand(row[:track], row[:layer], row[:covers_person_id])

      # Keys of all cells that the log or the states know.
      def keys(piece) = piece.ledger_entries.distinct.pluck(*KEY) | piece.learning_states.pluck(*KEY)

      # Whoever has read the piece reads all of it again: states were folded without a new entry.
      def read_anew(piece)
        LedgerEntry.connection.execute("UPDATE pieces SET work_version = work_version + 1 WHERE id = #{piece.id.to_i}")
      end

      # Locks all cells of some items before a change of the piece that may mark them.
      def hold(piece, item_keys)
        piece.learning_states.where(item_key: item_keys).order(*KEY).lock.pluck(:id)
      end

      # Cells whose entries are newer than a number.
      def since(piece, seq) = piece.ledger_entries.where("seq > ?", seq).distinct.pluck(*KEY)

      # In the order in which the database sorts them, nothing last.
      def sorted(keys) = keys.uniq.sort_by { |key| key.map { |part| part.nil? ? [1, ""] : [0, part] } }

      # Those that the log of their cells does not know by their client_id.
      def unsent(entries, log)
        known = log.values.flatten(1).filter_map(&:last).to_set
        entries.reject { |entry| entry[:client_id] && known.include?(entry[:client_id]) }
          .uniq { |entry| entry[:client_id] || entry }
      end

      # States of cells as their log and what is about to be written make them.
      def folded_with(piece, keys, log, fresh)
        newer = fresh.group_by { |entry| entry.values_at(*KEY) }
        learned_from = piece.setting("learned_from")
        keys.map do |key|
          entries = made(log.fetch(key, [])) + newer.fetch(key, []).map { |entry| unwritten(entry) }
          state_row(piece, key, Learn::Cell.fold(entries, learned_from:))
        end
      end

      def unwritten(entry)
        Learn::Entry.new(id: nil, kind: entry[:kind], day: entry[:day], rung: entry[:rung] || 0,
                         undoes: entry[:undoes_id])
      end

      def made(rows)
        rows.map { |id, kind, day, rung, undoes, _| Learn::Entry.new(id:, kind:, day:, rung:, undoes:) }
      end

      def fold(piece, keys)
        states = folded_with(piece, keys, LedgerRows.of(piece, keys), [])
        LedgerRows.save(states) if states.any?
        states
      end

      def lock(piece, keys) = LedgerRows.lock(piece, keys)

      def state_row(piece, key, cell)
        {
          studio_id: piece.studio_id,
          piece_id: piece.id,
          **KEY.zip(key).to_h,
          **STATE.to_h { |field, column| [column, cell.public_send(field)] }
        }
      end

      def of_sections(piece, other)
        groups = piece.groups.map(&:id)
        other.each_with_object({}) do |(id, way), found|
          key = Core::Values::ItemKey.section(id)
          found[key.to_s] = way
          groups.each { |group| found[key.with(group: group.to_s).to_s] = way }
        end
      end

      def of_differences(piece, other)
        piece.links.select { |link| other.key?(link.section_id) }
          .to_h { |link| [Core::Values::ItemKey.difference(link.id).to_s, other.fetch(link.section_id)] }
      end
    end
  end
end
