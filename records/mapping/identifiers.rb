# frozen_string_literal: true

module Records
  module Mapping
    # The texts by which the core knows people, rehearsals (windows), rooms and slots, and the row ids they stand for.
    # Nobody else makes or takes apart such a text.
    #
    #   Identifiers.person(7)    # => "p7"
    #   Identifiers.row("p7")    # => 7
    module Identifiers
      # The rehearsal and the room of a change that is only tried: no row stands behind them.
      EXTRA = "extra"

      module_function

      def person(id) = "p#{id}"
      def window(id) = id == EXTRA ? EXTRA : "w#{id}"
      def room(id) = "r#{id}"
      def slot(id) = "slot-#{id}"

      def person?(text) = text.start_with?("p")

      # The row id in a text; of what no row stands behind, nil.
      def row(text) = text[/\d+\z/]&.to_i

      def rows(texts) = texts.map { |text| row(text) }
    end
  end
end
