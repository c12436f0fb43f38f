# frozen_string_literal: true

module App
  module Calls
    module Actions
      # Who of those called came to a rehearsal, the minutes its slots really took, and how far each section was taught.
      class KeepRegister
        # sheet: Pages::CallSheet, or whatever says who is called and what is done there.
        # confirmed: whether somebody says with it that the evening was so.
        def initialize(sheet, params, account, confirmed: false)
          @sheet = sheet
          @rehearsal = sheet.rehearsal
          @params = params
          @account = account
          @confirmed = confirmed
        end

        # Value, where something is wrong: the form as it was sent.
        def run
          Shared::SaveForm.run(@rehearsal, -> { @form = RegisterForm.of(@sheet, @params) }) do
            fault = gone || bad_minutes || bad_eights
            fault ? { base: fault } : keep
          end
        end

        private

        def keep
          of("here").each { |id, value| one(id, value == "1") }
          lessons.each { |section, text| taught(section, text.to_i) }
          groups.each { |section, group, text| taught(section, text.to_i, group) }
          as_it_was_meant if @confirmed
          confirm if @confirmed
          touched("minutes").each { |slot, text| slot.update!(actual_minutes: text.presence&.to_i) }
          nil
        end

        # Something was said of a slot, or of somebody, that the rehearsal has no longer: a newer plan was told.
        def gone = (I18n.t("register.gone") if (@form.touched - @form.now.keys).any?)

        # {id => text} of everything of a kind that stood on the form and still belongs to the rehearsal, merged.
        def of(kind)
          names = @form.now.keys.select { |name| name.start_with?("#{kind}:") && @form.came?(name) }
          names.to_h { |name| [name.split(":").last.to_i, @form.merged.fetch(name)] }
        end

        # [[slot, text], …] of the slots of which something was changed here.
        def touched(kind)
          values = of(kind)
          @sheet.slots
            .select { |slot| slot.work? && @form.touched.include?("#{kind}:#{slot.id}") }
            .map { |slot| [slot, values[slot.id].strip] }
        end

        def bad_minutes
          bad = touched("minutes").any? do |_, text|
            !text.empty? && !Integer(text, exception: false)&.between?(1, 600)
          end
          I18n.t("register.minutes") if bad
        end

        def bad_eights
          said = lessons + groups.map { |section, _, text| [section, text] }
          section, = said.find { |section, text| !Integer(text, exception: false)&.between?(0, section.eights.size) }
          I18n.t("register.eights", name: section.name, count: section.eights.size) if section
        end

        # [[section, text], …] of the lessons for which something was given.
        def lessons
          touched("taught").select { |slot, text| slot.lesson? && !text.empty? }.map do |slot, text|
            [@rehearsal.studio.sections.find(slot.section_ids.first), text]
          end
        end

        # [[section, group, text], …] of the groups of which something was said.
        def groups
          touched = @form.touched.grep(/\Agroup:/)
          said = @sheet.lessons_by_group.map do |slot, group, _|
            name = "group:#{slot.id}-#{group.id}"
            [slot.section_ids.first, group, (@form.merged.fetch(name).strip if touched.include?(name))]
          end
          said.select { |_, _, text| text.present? }
            .map { |section, group, text| [@rehearsal.studio.sections.find(section), group, text] }
        end

        # How far the lessons got of which nobody said otherwise: as the page showed it, by group where there are some.
        def as_it_was_meant
          @sheet.lessons.each do |slot, section, reached|
            groups = @sheet.lessons_by_group.select { |lesson, _, _| lesson == slot }
            next meant("taught:#{slot.id}", section, reached) if groups.empty?

            groups.each { |_, group, far| meant("group:#{slot.id}-#{group.id}", section, far, group) }
          end
        end

        def meant(name, section, reached, group = nil)
          eights = @form.merged.fetch(name).to_i
          return if @form.touched.include?(name) || eights <= reached.to_i || eights > section.eights.size

          taught(@rehearsal.studio.sections.find(section.id), eights, group, counted: false)
        end

        # A line in the log where it is not what the log says already. counted: whether somebody counted it, or it was
        # confirmed as it was meant.
        def taught(section, eights, group = nil, counted: true)
          return if group.nil? && section.taught_to_all&.eights == eights

          section.teachings.create!(
            studio_id: section.studio_id,
            group_id: group&.id,
            eights:,
            counted:,
            day: @rehearsal.date,
            by_name: @account.name,
            created_at: Shared::Clock.now
          )
        end

        # Said at the end of all that was said of somebody, where it is otherwise.
        def one(id, present)
          return if @rehearsal.attendances.find_by(person_id: id)&.present == present

          now = Shared::Clock.now
          Records::Mapping::Registers.say(
            @rehearsal,
            [{ studio_id: @rehearsal.studio_id, rehearsal_id: @rehearsal.id, person_id: id, guest: nil,
               state: present ? "present" : "absent", minute: @rehearsal.start_minute,
               said_at: (now.to_f * 1000).to_i, by_name: @account.name, client_id: SecureRandom.hex(12),
               created_at: now }]
          )
        end

        def confirm
          first = @rehearsal.confirmed_at.nil?
          @rehearsal.update!(confirmed_at: Shared::Clock.now, confirmed_by: @account.name)
          RecapAnew.new(@rehearsal, @sheet.slots).run
          TellMissed.new(@rehearsal, @sheet.slots).run if first
        end
      end
    end
  end
end
