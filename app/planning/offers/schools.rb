# frozen_string_literal: true

module App
  module Planning
    module Offers
      # The ways to build it side by side: minutes, how often what is danced, when it is ready.
      class Schools < Solving
        private

        def keys = Core::Planning::Schools::ALL.keys
        def steps = keys.map { |key| -> { by(key) } }

        def by(key)
          asked = { "change" => "school", "school" => key }
          draft = Reading::PlanDraft.new(@piece, @now, what_if: Changes.of(@piece, asked))
          [draft, made(nil, draft)]
        end

        def answer(worked)
          schools = keys.zip(worked)
          { facts: { rows: schools.map { |key, (draft, offered)| row(key, draft, offered) } },
            plans: schools.to_h { |key, (_, offered)| [key, offered.stored] } }
        end

        def row(key, draft, offered)
          school = Core::Planning::Schools::Figures.new(draft.tasks, draft.work)
          figures = offered.figures
          {
            key:,
            minutes: school.minutes,
            danced: school.danced,
            first_run: figures.first_run,
            ready: figures.ready,
            unplaced: figures.unplaced,
            waiting: figures.waiting
          }
        end
      end
    end
  end
end
