# frozen_string_literal: true

module App
  module Piece
    # A piece's title, show date, music length and tempo as typed, checked.
    class TypedFacts
      def initialize(params) = @params = params

      def title = @params["title"].to_s.gsub(/\s+/, " ").strip
      def length = blank?("length") ? nil : Formats::Times.seconds(@params["length"])
      def bpm = blank?("bpm") ? nil : Float(@params["bpm"].to_s.strip, exception: false)

      def show_date = blank?("show_date") ? nil : Shared::Dates.parse(@params["show_date"])

      def errors
        {
          title: (:title unless title.length.between?(1, 80)),
          show_date: (:show_date if show_date.nil? && !blank?("show_date")),
          length: (:length unless blank?("length") || length&.between?(1, 35_999)),
          bpm: (:bpm unless blank?("bpm") || bpm&.between?(20, 400))
        }.compact.transform_values do |key|
          I18n.t("pieces.faults.#{key}")
        end
      end

      private

      def blank?(name) = @params[name].to_s.strip.empty?
    end
  end
end
