# frozen_string_literal: true

module App
  module Reading
    # Slots in which minors are and no adult who can be there, as things are now: somebody who was named and is away by
    # now does not count.
    class Unattended
      # slots: Records::Slot with their rehearsals.
      def initialize(studio, slots)
        @studio = studio
        @slots = slots
      end

      # [Records::Slot]
      def all
        @all ||=
          @slots.select do |slot|
            minors.include?(slot.id) && adults.fetch(slot.id, []).none? { |who| there?(who, slot) }
          end
      end

      def include?(slot) = all.include?(slot)

      # [Date] in order.
      def days = all.map { |slot| slot.rehearsal.date }.uniq.sort

      private

      # [[slot id, person id, adult], …]
      def called
        @called ||=
          @studio.slot_people.joins(:person)
            .where(slot_id: @slots.map(&:id))
            .pluck(:slot_id, :person_id, "people.adult")
      end

      def minors = @minors ||= called.reject(&:last).to_set(&:first)

      def adults
        @adults ||= called.select(&:last).group_by(&:first).transform_values { |rows| rows.map { |_, who, _| who } }
      end

      def there?(who, slot)
        absences.fetch(who, []).none? do |away|
          slot.rehearsal.date.between?(away.from_date, away.to_date) &&
            (away.from_minute || 0) < slot.end_minute && slot.start_minute < (away.to_minute || 1440)
        end
      end

      def absences = @absences ||= @studio.absences.where(person_id: adults.values.flatten.uniq).group_by(&:person_id)
    end
  end
end
