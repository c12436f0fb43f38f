# frozen_string_literal: true

module App
  module Planning
    module Changes
      # More or less time for what is taught.
      class Passes < Change
        FACTORS = { "fewer" => 0.8, "more" => 1.2 }.freeze
        private_constant :FACTORS

        def valid? = !factor.nil?
        def text = I18n.t("what_if.passes.#{@asked['passes']}")

        def work(work)
          work.sections.reduce(work) do |changed, each|
            Core::Joins::Edit.section(changed, each.id) { |own| own.with(**passed(own)) }
          end
        end

        private

        def factor = FACTORS[@asked["passes"]]

        # What it makes of a section (as a row or in the core): its difficulty, and minutes set by hand.
        def passed(section)
          {
            difficulty: (section.difficulty * factor).clamp(0.7, 1.6).round(2),
            minutes: section.minutes && [(section.minutes * factor / 5).ceil * 5, 5].max
          }
        end

        def accept = @piece.sections.each { |row| row.update!(**passed(row)) }
      end
    end
  end
end
