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

          Shared::EditSection.run(
            @section, @params["lock_version"], @account, @today, field: :rows, items: [own_item]
          ) { |watch| Shared::Result.ok(save(watch)) }
        end

        private

        def own_item = Core::Values::ItemKey.section(@section.id).to_s

        def save(watch)
          write(@text.rows)
          changed = differing(lines(watch.before), lines(watch.after))
          people = changed.any? ? Shared::MarkChanged.new(@piece, own_item, changed, @account, @today).run : 0
          @section.touch
          @piece.touch
          Shared::KeepRevision.new(@piece, @account).record("#{@section.name}: steps", work: watch.after.work)
          if people.positive?
            I18n.t("steps.changed", eights: changed.join(", "), count: people)
          else
            I18n.t("steps.saved", name: @section.name)
          end
        end

        def lines(snapshot)
          snapshot.danced.lines(snapshot.work.sections.find { |section| section.id == @section.id })
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
