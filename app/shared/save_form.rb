# frozen_string_literal: true

module App
  module Shared
    # A form that several people may have open, saved: alone on its row, read anew there, and refused where two people
    # changed the same.
    module SaveForm
      # read: a callable, the form (OpenForm) as it stands once the row is held. The block saves it and answers what is
      # wrong ({field => text}), or nothing. Value, where something is: the form as it was sent.
      def self.run(row, read)
        row.with_lock do
          form = read.call
          next Result.no({ base: I18n.t("forms.both") }, form) if form.conflicts.any?

          faults = yield(form)
          faults.is_a?(Hash) && faults.any? ? Result.no(faults, form) : Result.ok
        end
      end
    end
  end
end
