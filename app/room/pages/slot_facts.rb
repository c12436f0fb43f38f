# frozen_string_literal: true

module App
  module Room
    module Pages
      # One slot as the room needs it: what, with whom, what is ticked there, and what to take care of.
      class SlotFacts
        # The rung that a slot is for: from there on somebody "has it" in its line.
        TARGETS = {
          "learn" => "slow", "make" => "slow", "difference" => "slow", "join" => "slow", "catch_up" => "slow",
          "recap" => "slow", "to_music" => "music", "run" => "music"
        }.freeze
        OTHERWISE = "tempo"

        def initialize(slot, evening, snapshot)
          @slot = slot
          @evening = evening
          @snapshot = snapshot
        end

        def to_h
          {
            id: @slot.id, title: @slot.title, kind: @slot.kind, work: @slot.work?, start: @slot.start_minute,
            minutes: @slot.minutes, piece: @slot.plan.piece_id, who: @evening.sheet.who(@slot), people: dancers_called,
            rung: target, from: links&.first, to: links&.last, **worked_on, reached:, care:, watch:
          }
        end

        private

        def dancers_called
          @dancers_called ||= @slot.slot_people.select { |called| called.role == "dancer" }.map(&:person_id)
        end

        def worked_on
          {
            items: items.map { |item| { key: item.key, name: Shared::ItemName.of(item), people: dancers(item) } },
            section: (@slot.section_ids.first if @slot.section_ids.one?),
            groups: groups.map { |group| [group.id, group.name] }
          }
        end

        def dancers(item) = @snapshot.items.dancers(item) & dancers_called
        def target = @snapshot.progress.ladder.index(TARGETS.fetch(@slot.kind, OTHERWISE))
        def groups = @slot.plan.piece.groups

        # Links that are danced: as planned, else the first place of what is worked on.
        def links
          return [@slot.from_link, @slot.to_link || @slot.from_link] if @slot.from_link

          first = items.flat_map(&:links).min or return
          join = items.first.kind == :join
          join ? [first, [first + 1, @snapshot.work.order.links.size].min] : [first, first]
        end

        def items
          @items ||= begin
            subject = Core::Planning::TaskKey.subject(@slot.task_key)
            own = @snapshot.items.all.select { |item| item.key == subject }
            own.any? ? own : along
          end
        end

        # Of a chain or a run all that lies in it; of a recap what its sections are.
        def along
          if @slot.from_link
            inside = @slot.from_link..(@slot.to_link || @slot.from_link)
            @snapshot.items.all.select { |item| item.links.all? { |index| inside.cover?(index) } }
          else
            keys = @slot.section_ids.map { |id| Core::Values::ItemKey.section(id).to_s }
            @snapshot.items.all.select { |item| keys.include?(item.key) }
          end
        end

        def sections
          @sections ||= @snapshot.work.sections.select { |section| @slot.section_ids.include?(section.id) }
        end

        # The program's own cautions, in few words; the call sheet has them whole.
        def care
          usual = sections.flat_map { |section| @snapshot.danced.hazards(section) }.uniq
            .map { |hazard| "#{I18n.t("hazards.#{hazard}.name")}: #{I18n.t("hazards.#{hazard}.care")}" }
          collisions + usual
        end

        def collisions
          Reading::OpenCollisions.of(@slot.plan.piece, @slot.section_ids)
            .map { |trouble| "#{I18n.t('collisions.name')}: #{I18n.t('collisions.care', place: trouble.place)}" }
        end

        # Open corrections of its sections: "eight 3, count 5: soft knees".
        def watch
          rows = @evening.studio.notes.corrections.where(section_id: @slot.section_ids).includes(:section)
          rows.map do |each|
            where = [(each.section.name if sections.size > 1), each.place].compact.join(", ").presence
            [where, each.text].compact.join(": ")
          end
        end

        # How far a lesson's section was taught, and how many eights it has: [3, 7].
        def reached
          return unless @slot.lesson? && sections.one?

          [Reading::TaughtSoFar.new(@slot.plan.piece).to_h.fetch(sections.first.id, 0), sections.first.rows.size]
        end
      end
    end
  end
end
