# frozen_string_literal: true

module Records
  # What each setting of a studio may be. Every way in goes through here: the form, an archive, the model itself.
  module StudioSettings
    RANGES = {
      "warm_up" => 5..60,
      "cool_down" => 0..30,
      "re_warm" => 0..15,
      "recap" => 0..20,
      "to_music" => 0..20,
      "max_continuous" => 20..120,
      "rest" => 5..60,
      "daily_minutes" => 30..720,
      "new_eights" => 1..40,
      "full_out_minutes" => 1..120,
      "latest_finish" => 720..1440,
      "school_eve" => 0..120,
      "fixed_days" => 0..28,
      "erase_after" => 0..3650,
      "quiet_from" => 0..1439,
      "quiet_to" => 0..1439
    }.freeze
    # Those that are minutes or times of day in steps of five.
    IN_FIVES = (RANGES.keys - %w[new_eights full_out_minutes fixed_days]).freeze
    FLAGS = %w[under_eleven self_reports clips clips_for_dancers words_to_minors rooms_in_calendars
               way_closed].freeze
    # Full runs wanted where a piece does not say.
    RUNS = 0..20
    PAPERS = %w[a4 letter].freeze

    module_function

    # Those of what came from elsewhere that there are.
    def known(given) = given.is_a?(Hash) ? given.slice(*Studio::DEFAULTS.keys) : {}

    # Names of those that are not what they may be, and of those nobody knows.
    def wrong(settings) = settings.reject { |name, value| right?(name, value) }.keys

    def right?(name, value)
      case name
      when *RANGES.keys then figure?(name, value)
      when *FLAGS then [true, false].include?(value)
      when "kind" then ["", *Core::Planning::GroupKinds::FIGURES.keys].include?(value)
      when "paper" then PAPERS.include?(value)
      when "full_runs" then value.is_a?(Integer) && RUNS.cover?(value)
      when "learned_way" then way?(value, 1)
      when "clean_runs" then value.is_a?(Integer) && way?("clean_runs", value)
      else false
      end
    end

    def figure?(name, value)
      value.is_a?(Integer) && RANGES[name].cover?(value) && (!IN_FIVES.include?(name) || (value % 5).zero?)
    end

    def way?(name, runs)
      Core::Learning::Way.new(name:, runs:)
      true
    rescue Core::ValueError
      false
    end
  end
end
