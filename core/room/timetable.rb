# frozen_string_literal: true

module Core
  module Room
    # An evening in one room as it goes: what was begun and ended, what was shortened, dropped or moved, and when the
    # rest comes. Nothing is begun before people were told to come; what takes longer pushes the rest back.
    class Timetable
      # id; start, minutes: as planned, minutes of the day; work: whether it is work (a warm-up, a rest or a cool-down
      # is neither dropped nor shortened); busy: [[from, to], …] when some of its people are called elsewhere;
      # earliest: the minute from which all of them were told to be there.
      class Slot < Values::Value.of(:id, :start, :minutes, work: true, busy: [].freeze, earliest: 0)
        # A slot is not cut below this, nor below half of what was planned.
        LEAST = 10
        STEP = 5

        # Minutes below which it is not shortened.
        def least
          half = (minutes / 2.0 / STEP).ceil * STEP
          minutes < LEAST ? minutes : half.clamp(LEAST, minutes)
        end
      end

      # What was done: kind begin, end, shorten (minutes: its new length), drop, or swap (with: the other slot's id).
      class Step < Values::Value.of(:kind, :slot, minute: nil, minutes: nil, with: nil)
        KINDS = %w[begin end shorten drop swap].freeze
      end

      # One slot as it goes: state is :done, :running, :ahead or :dropped; lost: minutes of it behind the evening's end;
      # clash: whether some of its people are called elsewhere then; begun: whether somebody said so; planned: minutes
      # it is to take; from: the minute before which it does not begin by itself.
      Laid = Struct.new(:slot, :start, :finish, :state, :lost, :clash, :begun, :planned, :from, keyword_init: true) do
        def minutes = finish - start
      end

      attr_reader :slots, :steps, :now, :ends

      # slots: [Slot]; ends: the minute at which the rehearsal ends; now: minute of the day; steps: [Step], in order.
      def initialize(slots, ends:, now:, steps: [])
        @slots = slots
        @ends = ends
        @now = now
        @steps = steps.select { |step| slots.any? { |slot| slot.id == step.slot } }
      end

      # [Laid] in the order of the evening, dropped ones at the end.
      def lines
        @lines ||= begin
          cursor = 0
          going = order.map { |slot| line(slot, cursor).tap { |made| cursor = [cursor, made.finish].max } }
          going + dropped.map { |slot| gone(slot) }
        end
      end

      # The Laid that runs, or nil between two.
      def running = lines.find { |line| line.state == :running }

      # The Laid that comes next, or nil.
      def following = lines.find { |line| line.state == :ahead }

      # [Laid] of which something lies behind the evening's end.
      def off = lines.select { |line| line.lost.positive? }

      # Minutes that do not fit.
      def lost = lines.sum(&:lost)

      # {slot id => minute} of what runs or comes.
      def starts
        open = lines.select { |line| %i[running ahead].include?(line.state) }
        open.to_h { |line| [line.slot.id, line.start] }
      end

      # The same evening with more done.
      def after(*more, now: @now) = Timetable.new(slots, ends:, now:, steps: steps + more)

      private

      def gone(slot)
        Laid.new(slot:, start: slot.start, finish: slot.start, state: :dropped, lost: 0, begun: false, planned: 0,
                 from: slot.start)
      end

      def dropped = slots.select { |slot| of(slot, "drop").any? }
      def said = @said ||= steps.group_by { |step| [step.slot, step.kind] }
      def of(slot, kind) = said.fetch([slot.id, kind], [])
      def began(slot) = of(slot, "begin").last&.minute
      def ended(slot) = of(slot, "end").last&.minute
      def minutes(slot) = of(slot, "shorten").last&.minutes || slot.minutes

      # As planned, with what was swapped.
      def order
        @order ||= swaps.reduce(slots.sort_by(&:start).reject { |slot| of(slot, "drop").any? }) do |row, step|
          one = row.index { |slot| slot.id == step.slot }
          two = row.index { |slot| slot.id == step.with }
          one && two ? exchanged(row, one, two) : row
        end
      end

      def swaps = @swaps ||= steps.select { |step| step.kind == "swap" }

      def exchanged(row, one, two)
        other = row.dup
        other[one] = row[two]
        other[two] = row[one]
        other
      end

      # {slot id => the minute at which something that comes later was begun already, or nil}.
      def overtaken
        @overtaken ||= begin
          later = nil
          order.reverse.to_h do |slot|
            found = [slot.id, later]
            later = [later, began(slot)].compact.min
            found
          end
        end
      end

      def overtaken?(slot) = overtaken[slot.id]

      def line(slot, cursor)
        over = overtaken?(slot)
        start = began(slot) || [[planned(slot), cursor].max, over, ended(slot)].compact.min
        finish = ended(slot) || finish(slot, start, over)
        state = state(slot, start, finish)
        lost = state == :done ? 0 : [finish - [start, ends].max, 0].max
        clash = state != :done && slot.busy.any? { |from, to| from < finish && start < to }
        Laid.new(slot:, start:, finish: [finish, start].max, state:, lost:, clash:, begun: !began(slot).nil?,
                 planned: minutes(slot), from: planned(slot))
      end

      # Not before people come, though it stands where another one stood.
      def planned(slot) = swapped?(slot) ? slot.earliest : slot.start
      def swapped?(slot) = swaps.any? { |step| [step.slot, step.with].include?(slot.id) }

      # Until what comes later was begun; what nobody began took no longer than was planned.
      def finish(slot, start, over)
        began(slot) && over ? over : [due(slot, start), over].compact.min
      end

      # What was begun goes on until somebody ends it.
      def due(slot, start) = began(slot) ? [start + minutes(slot), now].max : start + minutes(slot)

      def state(slot, start, finish)
        return :done if ended(slot) || overtaken?(slot)
        return :running if began(slot)
        return :ahead if start > now || (start == now && order.any? { |other| open?(other) })

        finish > now ? :running : :done
      end

      # Begun and not ended.
      def open?(slot) = began(slot) && !ended(slot) && !overtaken?(slot)
    end
  end
end
