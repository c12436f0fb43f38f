# frozen_string_literal: true

module App
  module Joins
    module Actions
      # Writes what a mend made of a piece: only what differs from the rows. Counts that somebody was taught and that
      # are danced differently now are marked, and the owner of every section that changed is told.
      class ApplyMend
        def initialize(piece, before, after, account, today)
          @piece = piece
          @before = before
          @after = after
          @account = account
          @today = today
        end

        def run(summary)
          Records::Piece.transaction do
            changed = @after.sections.zip(@before.sections).reject { |new, old| new == old }
            changed.each { |new, old| section(new, old) }
            @after.links.zip(@before.links)
              .each { |new, old| link(new, old) unless [new.mirrored, new.changes] == [old.mirrored, old.changes] }
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record(summary)
            changed.map(&:first).each { |section| tell(section, summary) }
          end
        end

        private

        def section(new, old)
          row = @piece.sections.find(new.id)
          row.update!(stated_entry: plain(new.entry), stated_exit: plain(new.exit))
          write(row, new.rows) unless new.rows == old.rows
          new.parts.each { |part| hold(row, part) } unless new.parts_said?
          mark(Core::Values::ItemKey.section(new.id).to_s, lines(@before, old), lines(@after, new))
          new.own_groups.each do |group|
            key = Core::Values::ItemKey.section(new.id).with(group: group.to_s).to_s
            mark(key, lines(@before, old.of_group(group)), lines(@after, new.of_group(group)))
          end
          row.touch
        end

        # A group's hold; the lines that were only said in the eights are written with the first.
        def hold(row, part)
          return if row.parts.where(group_id: part.group).update_all(hold_after: part.hold_after).positive?

          row.parts.create!(
            studio_id: row.studio_id, group_id: part.group, start_offset: part.offset, hold_before: part.hold_before,
            hold_after: part.hold_after, mirrored: part.mirrored,
            pauses: part.pauses, stretches: part.stretches.map { |from, to, doing| [from, to, doing.to_s] }
          )
        end

        def plain(edge) = edge.to_h { |name, value| [name.to_s, value.is_a?(Symbol) ? value.to_s : value] }
        def lines(work, section) = Core::Piece::Danced.new(work, vocabulary: @piece.studio.vocabulary).lines(section)

        def write(row, rows)
          old = row.eights.to_a
          rows.each_with_index do |new, i|
            eight = old[i] || row.eights.new(studio_id: row.studio_id, position: i + 1)
            eight.update!(counts: new.counts, text: new.text, cue: new.cue, name: new.name)
          end
        end

        def mark(key, before, after)
          eights =
            before.each_with_index.filter_map { |line, i| i + 1 unless line.moves.empty? || line.same?(after[i]) }
          Shared::MarkChanged.new(@piece, key, eights, @account, @today).run if eights.any?
        end

        def link(new, old)
          row = @piece.links.find(new.id)
          row.update!(mirrored: new.mirrored, changes_made: Records::Mapping::Works.made(new.changes))
          return unless old.altered?

          key = Core::Values::ItemKey.difference(row.id).to_s
          Shared::MarkChanged.new(@piece, key, new.changes.touched, @account, @today).run
        end

        def tell(section, summary)
          @piece.studio.memberships.where(person_id: section.choreographer).where.not(account_id: @account.id)
            .includes(:account)
            .each do |membership|
              Shared::Post.new(@piece.studio).tell(
                membership,
                topic: "steps",
                template: "section_mended",
                section: section.name,
                piece: @piece.title,
                what: summary,
                by: @account.name,
                link: "#{Settings.app_url}/pieces/#{@piece.id}/steps?section=#{section.id}"
              )
            end
        end
      end
    end
  end
end
