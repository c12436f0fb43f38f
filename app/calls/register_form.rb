# frozen_string_literal: true

module App
  module Calls
    # The register of a rehearsal, person by person and slot by slot: who is here, what each slot took, how far each
    # section was taught. Somebody nobody has said anything of stands there as here.
    module RegisterForm
      module_function

      # sheet: Pages::CallSheet.
      def of(sheet, sent = nil) = Shared::OpenForm.new(now(sheet), sent: sent && rows(sheet, sent))

      def now(sheet)
        {
          **sheet.people.to_h { |person| ["here:#{person.id}", sheet.marked?(person) ? "1" : "0"] },
          **sheet.slots.select(&:work?).to_h { |slot| ["minutes:#{slot.id}", slot.actual_minutes.to_s] },
          **sheet.lessons.to_h { |slot, _, reached| ["taught:#{slot.id}", sheet.got(slot, reached).to_s] },
          **sheet.lessons_by_group.to_h do |slot, group, reached|
            ["group:#{slot.id}-#{group.id}", sheet.got(slot, reached).to_s]
          end
        }
      end

      # A box that is not ticked is not sent: of those who stood on the form, whoever did not come is absent.
      def rows(sheet, sent)
        here = Array(sent["here"]).map(&:to_s)
        on_form = Shared::OpenForm.memory(sent["was"]).keys.grep(/\Ahere:/)
        on_form = now(sheet).keys.grep(/\Ahere:/) if on_form.empty?
        {
          **on_form.to_h { |name| [name, here.include?(name.delete_prefix("here:")) ? "1" : "0"] },
          **table(sent["minutes"], "minutes"),
          **table(sent["taught"], "taught"),
          **table(sent["group"], "group"),
          "was" => sent["was"]
        }
      end

      def table(values, kind) = (values.is_a?(Hash) ? values : {}).to_h { |id, text| ["#{kind}:#{id}", text.to_s] }

      def conflicts(form, sheet)
        form.conflicts.map do |each|
          kind, id = each.name.split(":")
          values = [each.mine, each.theirs]
          values = values.map { |value| I18n.t(value == "1" ? "register.here" : "register.away") } if kind == "here"
          [label(sheet, kind, id.to_i), *values]
        end
      end

      def label(sheet, kind, id)
        return sheet.studio.people.find_by(id:)&.name.to_s if kind == "here"

        kind = "taught" if kind == "group"
        I18n.t("register.of.#{kind}", title: sheet.slots.find { |slot| slot.id == id }&.title)
      end
    end
  end
end
