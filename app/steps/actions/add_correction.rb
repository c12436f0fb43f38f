# frozen_string_literal: true

module App
  module Steps
    module Actions
      # Something to watch for, of a section or at one of its counts: a note that stands until it is settled.
      class AddCorrection
        MOST = 200
        # Counts of an eight.
        COUNTS = (1..64)

        def initialize(section, params, account)
          @section = section
          @params = params
          @account = account
        end

        # Value: the Records::Note.
        def run
          return no unless places?

          row = Records::Note.new(**Shared::NoteRow.of(@section.piece, @account), **place, kind: "correction",
                                                                                           about: "section", text: text)
          row.save ? Shared::Result.ok(row) : no
        end

        private

        def no = Shared::Result.no({ text: I18n.t("corrections.faults") })
        def text = @params["text"].to_s
        def eight = whole("eight")
        def count = whole("count")
        def whole(name) = Integer(@params[name].to_s, 10, exception: false)

        # What was typed as a place is one, within the section.
        def places?
          return false if text.size > MOST || blank_or_wrong?("eight", eight) || blank_or_wrong?("count", count)

          (eight.nil? || eight.between?(1, @section.eights.count)) && (count.nil? || COUNTS.cover?(count))
        end

        def blank_or_wrong?(name, number) = @params[name].present? && number.nil?

        def place
          { section: @section, row: eight, at: count && ((count - 1) * Records::Note::TWELFTHS) }
        end
      end
    end
  end
end
