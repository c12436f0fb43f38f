# frozen_string_literal: true

require "yaml"

module Formats
  # The sentences of a locale file, for programs that run without the web application and its gems: keys with dots,
  # %{values}, and zero, one and other by `count`. What the web application says with I18n, this says alike.
  class Phrases
    # yaml: text of a locale file with one language at its root.
    def initialize(yaml) = @tree = YAML.safe_load(yaml).values.first

    # "plan_reasons.long", need: 60 => text. A key that is not there is a fault of the program.
    def say(key, **values)
      found = key.split(".").reduce(@tree) { |tree, name| tree.fetch(name) }
      found = chosen(found, values.fetch(:count)) if found.is_a?(Hash)
      found.gsub(/%\{(\w+)\}/) { values.fetch(Regexp.last_match(1).to_sym).to_s }
    end

    private

    def chosen(forms, count)
      return forms["zero"] if count.zero? && forms.key?("zero")

      forms.fetch(count == 1 ? "one" : "other")
    end
  end
end
