# frozen_string_literal: true

module App
  module Planning
    module Pages
      # What one change would do, beside the plan as it is.
      class WhatIf < Offer
        KIND = "what_if"
        PATH = PATHS.fetch(KIND)
        Side = Struct.new(:ready, :unplaced, :waiting, :most, :reasons, keyword_init: true)

        attr_reader :fault

        # typed: what was asked and not understood; fault: why not.
        def initialize(typed: nil, fault: nil, **rest)
          super(**rest)
          @typed = typed
          @fault = fault
        end

        def title = "#{I18n.t('what_if.title')} · #{piece.title}"
        def text = facts.fetch("text")
        def sides = [now_side, then_side]
        def now_side = side("now")
        def then_side = side("then")

        # What changes for people against what they were told.
        def changes = facts.fetch("changes").symbolize_keys

        # What was asked, to begin with it again.
        def asked = @typed || (offer ? offer.asked : {})
        def asked_of(form) = asked["change"] == form.kind ? asked : {}

        # Forms of the group that was asked from last, and those about people, stand open.
        def open?(group) = forms.fetch(group).any? { |form| form.kind == asked["change"] } || group == "people"

        def rehearsals = @rehearsals ||= Records::Mapping::Seasons.new(piece, now:).open
        # {group => [WhatIfForms::Form]}
        def forms = @forms ||= WhatIfForms.new(self).all

        # What doing it changes besides the plan, in sentences.
        def besides
          change = Changes.of(piece, asked)
          change.valid? ? change.besides : []
        end

        # People who are away on any of the rehearsals ahead.
        def away
          dates = rehearsals.map(&:date)
          absences = piece.studio.absences.where(to_date: today..)
          away = absences.select { |absence| dates.any? { |date| date.between?(absence.from_date, absence.to_date) } }
          ids = away.map(&:person_id) | piece.studio.visits.where(date: today..).distinct.pluck(:person_id)
          people.values_at(*ids).compact.sort_by(&:name)
        end

        private

        def side(which)
          side = facts.fetch(which)
          Side.new(**side.symbolize_keys, ready: date(side["ready"]))
        end
      end
    end
  end
end
