# frozen_string_literal: true

module App
  module Calls
    module Actions
      # Who of those called came to a rehearsal, the minutes its slots really took, and how far each section was taught.
      class KeepRegister
        def initialize(rehearsal, params, account)
          @rehearsal = rehearsal
          @params = params
          @account = account
        end

        # called: ids of everybody called; slots: the slots people were told.
        def run(called, slots)
          lessons = lessons(slots)
          fault = bad_minutes || bad_eights(lessons)
          return Shared::Result.no({ base: fault }) if fault

          Records::Rehearsal.transaction do
            called.each { |id| one(id) }
            lessons.each { |section, text| taught(section, text.to_i) }
            slots.each do |slot|
              slot.update!(actual_minutes: minutes[slot.id.to_s].presence&.to_i) if minutes.key?(slot.id.to_s)
            end
          end
          Shared::Result.ok
        end

        private

        def bad_minutes
          bad =
            minutes.values
              .map { |text| text.to_s.strip }
              .reject(&:empty?)
              .find { |text| !Integer(text, exception: false)&.between?(1, 600) }
          I18n.t("register.minutes") if bad
        end

        def bad_eights(lessons)
          section, = lessons.find { |section, text| !Integer(text, exception: false)&.between?(0, section.eights.size) }
          I18n.t("register.eights", name: section.name, count: section.eights.size) if section
        end

        # [[section, text], …] of the lessons for which something was given.
        def lessons(slots)
          given =
            if @params["taught"].is_a?(Hash)
              @params["taught"].transform_values { |text| text.to_s.strip }.reject { |_, text| text.empty? }
            else
              {}
            end
          slots
            .select { |slot| given.key?(slot.id.to_s) && slot.lesson? }
            .map { |slot| [@rehearsal.studio.sections.find(slot.section_ids.first), given[slot.id.to_s]] }
        end

        # A line in the log where it is not what the log says already.
        def taught(section, eights)
          return if section.teachings.order(:id).last&.eights == eights

          section.teachings.create!(
            studio_id: section.studio_id,
            eights:,
            day: @rehearsal.date,
            by_name: @account.name,
            created_at: Shared::Clock.now
          )
        end

        def minutes = @params["minutes"].is_a?(Hash) ? @params["minutes"] : {}
        def here = @here ||= Array(@params["here"]).map(&:to_i)

        def one(id)
          row = @rehearsal.attendances.find_or_initialize_by(person_id: id)
          row.update!(studio_id: @rehearsal.studio_id, present: here.include?(id), by_name: @account.name)
        end
      end
    end
  end
end
