# frozen_string_literal: true

module App
  module Steps
    module Actions
      # Saves a section's eights. Counts that somebody was already taught and that are now danced differently are noted
      # in their log as changed; nobody's tick is touched.
      class Save
        def initialize(section, params, account, today)
          @section = section
          @piece = section.piece
          @params = params
          @account = account
          @today = today
          @text = TypedEights.new(params, vocabulary: section.studio.vocabulary)
        end

        # Value: what to say, or :conflict.
        def run
          faults = @text.faults
          faults << Unreadable.fault(@text.rows.map(&:text), @section.studio.vocabulary) if faults.empty?
          faults.compact!
          return Shared::Result.no({ rows: faults.first }) if faults.any?

          Reading::EditSection.run(
            @section, @params["lock_version"], @account, @today, field: :rows, items: [own_item, *group_items]
          ) { |watch| Shared::Result.ok(save(watch)) }
        end

        private

        # Keys of what groups have of their own, whose cells may be marked.
        def group_items
          @piece.groups.map { |group| Core::Values::ItemKey.section(@section.id).with(group: group.id.to_s).to_s }
        end

        def own_item = Core::Values::ItemKey.section(@section.id).to_s

        def save(watch)
          write(@text.rows)
          changed = differing(lines(watch.before), lines(watch.after))
          people = changed.any? ? Shared::MarkChanged.new(@piece, own_item, changed, @account, @today).run : 0
          people += mark_groups(watch)
          @section.touch
          @piece.touch
          Shared::KeepRevision.new(@piece, @account).record("#{@section.name}: steps", work: watch.after.work)
          if people.positive?
            I18n.t("steps.changed", eights: changed.join(", "), count: people)
          else
            I18n.t("steps.saved", name: @section.name)
          end
        end

        # What groups dance of their own there: those who were shown it are marked as well.
        def mark_groups(watch)
          before = part_of(watch.before)
          before.own_groups.sum do |group|
            changed = differing(lines(watch.before, group), lines(watch.after, group))
            key = Core::Values::ItemKey.section(@section.id).with(group: group.to_s).to_s
            changed.any? ? Shared::MarkChanged.new(@piece, key, changed, @account, @today).run : 0
          end
        end

        def part_of(snapshot) = snapshot.work.sections.find { |section| section.id == @section.id }

        def lines(snapshot, group = nil)
          section = part_of(snapshot)
          snapshot.danced.lines(group ? section.of_group(group) : section)
        end

        def write(rows)
          old = @section.eights.reload.to_a
          rows.each_with_index do |row, i|
            eight = old[i] || @section.eights.new(studio_id: @section.studio_id, position: i + 1)
            eight.update!(counts: row.counts, text: row.text, cue: row.cue, name: row.name)
          end
          @section.eights.where("position > ?", rows.size).delete_all
          @section.eights.reset
        end

        # Numbers of the eights that had something and are danced differently now.
        def differing(before, after)
          before.each_with_index.filter_map { |line, i| i + 1 unless line.moves.empty? || line.same?(after[i]) }
        end
      end
    end
  end
end
