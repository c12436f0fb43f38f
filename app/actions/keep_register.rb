# frozen_string_literal: true

module App
  module Actions
    # Who of those called came to a rehearsal, and the minutes its slots really took.
    class KeepRegister
      def initialize(rehearsal, params, account)
        @rehearsal = rehearsal
        @params = params
        @account = account
      end

      # called: ids of everybody called; slots: the slots people were told.
      def run(called, slots)
        bad = minutes.find { |_, text| !text.to_s.strip.empty? && !Integer(text.to_s.strip, exception: false)&.between?(1, 600) }
        return Result.no({ base: I18n.t("register.minutes") }) if bad

        Records::Rehearsal.transaction do
          called.each { |id| one(id) }
          slots.each { |slot| slot.update!(actual_minutes: minutes[slot.id.to_s].presence&.to_i) if minutes.key?(slot.id.to_s) }
        end
        Result.ok
      end

      private

      def minutes = @params["minutes"].is_a?(Hash) ? @params["minutes"] : {}
      def here = @here ||= Array(@params["here"]).map(&:to_i)

      def one(id)
        row = @rehearsal.attendances.find_or_initialize_by(person_id: id)
        row.update!(studio_id: @rehearsal.studio_id, present: here.include?(id), by_name: @account.name)
      end
    end
  end
end
