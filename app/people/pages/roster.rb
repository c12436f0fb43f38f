# frozen_string_literal: true

module App
  module People
    module Pages
      # A roster to be taken in: pasted, looked at, then confirmed.
      class Roster
        MOST_COLUMNS = 12
        attr_reader :text, :piece, :error

        # What became of every line: "20 imported, 4 were there already, 2 lines left out, 24 cast in Winter Piece."
        # taken: Actions::ImportRoster's.
        def self.summary(taken)
          roster = taken.roster
          parts = [
            (I18n.t("roster.taken", count: roster.fresh.size) if roster.fresh.any? || taken.piece.nil?),
            (I18n.t("roster.known", count: roster.known.size) if roster.known.any?),
            (I18n.t("roster.left_out", count: roster.lines[:left_out]) if roster.faults.any?),
            (I18n.t("roster.cast", count: taken.cast, piece: taken.piece.title) if taken.piece)
          ]
          "#{parts.compact.join(', ')}."
        end

        def initialize(studio, piece_id, text: nil, error: nil, by_hand: {})
          @studio = studio
          @by_hand = by_hand
          @piece = studio.pieces.running.find_by(id: piece_id.to_s[/\A\d+\z/])
          @text = text
          @error = error
        end

        def title = I18n.t("roster.title")
        def screen = :people
        def pieces = @studio.pieces.running.order(:title)
        def previewed? = !text.nil?
        def result = @result ||= RosterText.read(@studio, piece, text, @by_hand)

        # [[how many, what], …] of the lines of the file; they add up.
        def lines
          result.lines.reject { |_, count| count.zero? }.map { |kind, count| I18n.t("roster.lines.#{kind}", count:) }
        end

        def line_count = result.lines.values.sum
        def columns = result.columns.keys.map { |column| I18n.t("roster.columns.#{column}") }.join(", ")

        # [[number, what stands at its top, its kind or nil], …] of the columns of the file.
        def file_columns
          kinds = result.columns.invert
          result.cells.first(MOST_COLUMNS).each_with_index.map { |cell, i| [i, cell, kinds[i]] }
        end

        # [[field, value], …] that say it once more.
        def by_hand_fields
          chosen = @by_hand.fetch(:columns, {}).map { |kind, number| ["columns[#{number}]", kind] }
          @by_hand[:heading] ? [*chosen, %w[heading 1]] : chosen
        end

        def kinds = Formats::Roster::KINDS.map { |kind| [kind, I18n.t("roster.columns.#{kind}")] }
        def fault(fault) = I18n.t("roster.faults.#{fault.kind}", line: fault.line, subject: fault.subject)
      end
    end
  end
end
