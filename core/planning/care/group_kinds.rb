# frozen_string_literal: true

module Core
  module Planning
    # What kind of group a studio mostly is, and the figures it starts from: full runs wanted, when minors are home (a
    # minute of the day), most minutes a minor dances in a day and anybody dances full out, longest work without a
    # rest, how long lessons take the young. Starting values of the field, not rules: each stays a setting, and local
    # rules decide.
    module GroupKinds
      YOUTH = { "full_runs" => 5, "latest_finish" => 1260, "daily_minutes" => 240, "max_continuous" => 55,
                "under_eleven" => false, "full_out_minutes" => 10 }.freeze
      GROWN = { **YOUTH, "latest_finish" => 1320, "daily_minutes" => 300, "full_out_minutes" => 14 }.freeze
      FIGURES = {
        "children" => { "full_runs" => 3, "latest_finish" => 1200, "daily_minutes" => 150, "max_continuous" => 45,
                        "under_eleven" => true, "full_out_minutes" => 6 },
        "youth" => YOUTH,
        "competition" => { **YOUTH, "full_runs" => 10, "full_out_minutes" => 12 },
        "musical" => { **YOUTH, "full_runs" => 4 },
        "adults" => GROWN,
        "professional" => GROWN,
        "inclusive" => YOUTH
      }.transform_values(&:freeze).freeze

      module_function

      # {setting => value} of a kind; {} where none is said.
      def figures(kind) = FIGURES.fetch(kind.to_s, {})
    end
  end
end
