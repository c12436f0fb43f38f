# frozen_string_literal: true

module App
  module Reading
    # To which slots that stand as they were told somebody is called as well who was not before: each after the other,
    # as long as nobody is in two places by it or works too long without a rest.
    class JoinedCalls
      # slots: those that stand; others: what other pieces hold; care: Core::Planning::Care; bands: {person id => age
      # band}; newcomers: a callable, slot => ids of those who could join it.
      def initialize(slots, others:, care:, bands:, newcomers:)
        @bands = bands
        @slots = slots
        @others = others
        @care = care
        @newcomers = newcomers
      end

      # {slot id => [person id]}
      def all
        work = @slots.select(&:work?).sort_by { |slot| [slot.rehearsal.date, slot.start_minute, slot.id] }
        work.to_h { |slot| [slot.id, @newcomers.call(slot).select { |who| join(who, slot) }] }
          .reject { |_, people| people.empty? }
      end

      private

      def join(who, slot)
        spans = busy(slot.rehearsal.date)[who] ||= []
        mine = [slot.start_minute, slot.end_minute]
        return false if spans.any? { |from, to| from < mine.last && mine.first < to } || tired?(who, spans + [mine])

        spans << mine
        true
      end

      # Whether any stretch of work, until an idle gap of a rest, is longer than it may be.
      def tired?(who, spans)
        most = Core::Planning::AgeBands.on_end(@bands[who], @care.max_continuous)
        stretches = spans.sort.each_with_object([]) do |(from, to), found|
          next found << [from, to] if found.empty? || from - found.last.last >= @care.rest

          found.last[1] = [found.last.last, to].max
        end
        stretches.any? { |from, to| to - from > most }
      end

      # {person id => [[first minute, last minute], …]} of a day's work, all pieces.
      def busy(date)
        @busy ||= {}
        @busy[date] ||= (@slots + @others).reject(&:warm_up?).select { |slot| slot.rehearsal.date == date }
          .each_with_object({}) do |slot, found|
            slot.slot_people.each { |row| (found[row.person_id] ||= []) << [slot.start_minute, slot.end_minute] }
          end
      end
    end
  end
end
