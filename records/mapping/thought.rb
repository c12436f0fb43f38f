# frozen_string_literal: true

module Records
  module Mapping
    # A rehearsal that is only thought of.
    Thought = Struct.new(:date, :start_minute, :end_minute, :rooms, keyword_init: true) do
      def id = Identifiers::EXTRA
      def kind = "rehearsal"
      def left_empty = false
      def open_rooms = rooms
      def cancelled_at = nil
    end
  end
end
