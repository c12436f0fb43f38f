# frozen_string_literal: true

module App
  module Runs
    # The runs of a piece and what they come to: its eights, trouble per eight and join, drills.
    class Book
      # Runs that are looked at: what went wrong long before has gone.
      LAST = 8

      delegate :eights, :rows, :count, :index, to: :mapping

      # work: of which order it speaks; the piece as it is now, or as it was (Reading::PieceThen).
      def initialize(piece, snapshot, work = snapshot.work)
        @piece = piece
        @snapshot = snapshot
        @work = work
      end

      def mapping = @mapping ||= Records::Mapping::Runs.new(@piece, order)
      def order = @work.order

      # [Core::Running::Run], oldest first.
      def runs = @runs ||= mapping.all.last(LAST)

      # The Records::Run of a core one.
      def row(run) = rows.find { |row| row.id == run.id }

      # The core Run of a row; nil where nothing of it was danced.
      def run_of(row) = mapping.run(row)

      def spots = @spots ||= Core::Running::Spots.new(eights, runs)

      def drills
        @drills ||= Core::Running::Drills.new(
          spots, runs:, eights:, cast: @snapshot.cast, in_link: ->(link) { @snapshot.items.in_link(link) }
        )
      end

      def clean(run) = Core::Running::CleanStretches.new(run).longest

      # "Smoke, eight 2, count 5".
      def place(count) = Shared::PlaceName.at(order, eights, count)

      # "Smoke, eight 2".
      def eight(eight) = I18n.t("runs.eight", name: link_name(eight.link), eight: eight.row)

      # "Waggle Line, eight 6 to Smoke, eight 3", "Smoke, eights 2 to 4".
      def span(from, to)
        Shared::PlaceName.span(*[from, to].map { |eight| [order.links[eight.link - 1], eight.row] })
      end

      def link_name(index) = Shared::PlaceName.link_name(order.links[index - 1])

      # "3:12" between two counts, the last included.
      def length(from, to) = Formats::Times.length(eights.seconds(from, to + 1))
    end
  end
end
