# frozen_string_literal: true

module Core
  module Planning
    # How old somebody is, as far as care goes: a band, never a birth date. For each band of minors: when they are home
    # (a minute of the day), most minutes a day, longest work on end. Starting values of the field, not rules; a
    # studio's own figures hold where they ask for less, and local rules decide.
    module AgeBands
      Figures = Struct.new(:home_by, :minutes_a_day, :on_end, keyword_init: true)
      MINORS = {
        "under_8" => Figures.new(home_by: 1110, minutes_a_day: 90, on_end: 30),
        "8_11" => Figures.new(home_by: 1200, minutes_a_day: 150, on_end: 45),
        "12_15" => Figures.new(home_by: 1260, minutes_a_day: 240, on_end: 55),
        "16_17" => Figures.new(home_by: 1320, minutes_a_day: 300, on_end: 55)
      }.freeze
      ADULT = "adult"
      ALL = [*MINORS.keys, ADULT].freeze
      SAID = {
        "under_8" => /\A(?:under|below|<)\s*8s?\z|\Au-?8\z|\A[3-7]\z/i,
        "8_11" => /\A8\s*(?:-|–|to)\s*11\z|\A(?:[89]|1[01])\z/i,
        "12_15" => /\A12\s*(?:-|–|to)\s*15\z|\A1[2-5]\z/i, "16_17" => /\A16\s*(?:-|–|to)\s*17\z|\A1[67]\z/i,
        ADULT => /\A(?:adult|grown[ -]?up|over\s*18|18\s*\+|1[89]|[2-9]\d)\z/i
      }.freeze
      private_constant :SAID

      module_function

      # The band that words say ("8–11", "under 8", "adult", "10"), or nil.
      def said(text) = SAID.find { |_, pattern| text.to_s.strip.match?(pattern) }&.first

      # When somebody is home, given the studio's own latest minute; the same where no band is said.
      def home_by(band, latest) = [MINORS[band]&.home_by, latest].compact.min

      # Longest work on end, given the studio's own figure.
      def on_end(band, most) = [MINORS[band]&.on_end, most].compact.min

      # Most minutes a day, given the studio's own figure.
      def minutes_a_day(band, most) = [MINORS[band]&.minutes_a_day, most].compact.min
    end
  end
end
