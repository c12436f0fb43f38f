# frozen_string_literal: true

module App
  module Room
    module Actions
      # A pass that the caller counted. It says "danced" of whoever was there and dances it, never "has it": it keeps
      # fresh what was danced whole, of those who mark only the order.
      class CountPass < Entry
        # From this percentage of the tempo on it is danced at tempo.
        AT_TEMPO = 90

        def run
          return :slot unless slot
          return :archived if piece.archived?
          return :links unless links?

          status = add(Records::Pass, said.merge(pass))
          keep_fresh if status == :stored
          status
        end

        private

        def piece = slot.plan.piece
        def snapshot = @snapshot ||= Reading::PieceSnapshots.of_work(piece)
        def from = @sent.whole("from")
        def to = @sent.whole("to")
        def row = @sent.whole("row") || 1
        def speed = (@sent.whole("speed") || 100).clamp(20, 150)

        def links?
          here = 1..snapshot.work.order.links.size
          from && to && from <= to && here.cover?(from) && here.cover?(to)
        end

        def pass
          {
            slot_id: slot.id, piece_id: piece.id, from_link: from, to_link: to, from_row: row.clamp(1, 200), speed:,
            music: @sent.flag?("music"), minute: @sent.minute || 0
          }
        end

        def rung
          return "slow" if speed < AT_TEMPO

          @sent.flag?("music") ? "music" : "tempo"
        end

        def keep_fresh
          ladder = snapshot.progress.ladder
          full = ladder.index(rung)
          small = [full, ladder.index("slow")].min
          entries = danced.flat_map do |item|
            (dancers & snapshot.items.dancers(item)).map { |id| line(id, item, register.marks?(id) ? small : full) }
          end
          Records::Mapping::Learnings.append(piece, entries)
        end

        # What lay in it whole: a section that was begun in its middle did not.
        def danced
          whole = ((row > 1 ? from + 1 : from)..to).to_a
          snapshot.items.all.select do |item|
            reach = item.kind == :join ? 1 : 0
            item.links.any? { |index| whole.include?(index) && index + reach <= to } && !edge?(item)
          end
        end

        # The opening and the ending are more than the counts.
        def edge?(item) = %i[opening ending].include?(item.kind)

        # Whoever was called to it, was there, and had warmed up.
        def dancers
          @dancers ||= begin
            called = slot.slot_people.where(role: "dancer").pluck(:person_id)
            called.select { |id| register.dances?(id, @sent.minute || 0) }
          end
        end

        def register
          @register ||= Reading::Evening.new(@rehearsal, @member, @now).register
        end

        def line(person, item, rung)
          Shared::LogLine.of(piece, @member.account, @rehearsal.date).merge(
            person_id: person, item_key: item.key, kind: "passed", rung:,
            client_id: "#{@sent.client}:#{person}:#{item.key}"
          )
        end
      end
    end
  end
end
