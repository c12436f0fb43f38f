# frozen_string_literal: true

module Formats
  module PieceFile
    # What a piece is set to, read by name: anything of another kind is a fault, anything unknown a note.
    class Settings
      WHOLE = { "learned_from" => 1..5, "full_runs" => 0..20, "ready_days" => 0..120, "count_in" => 0..16 }.freeze
      SHARES = %w[ready_share cleaning quorum].freeze
      DAYS = %w[dress technical filming].freeze
      OPENING = %w[pose starts place weight level].freeze
      ENDING = %w[picture leaves place weight level].freeze

      def initialize(fields) = @fields = fields

      # {name => plain value} of those that are given.
      def read
        { **figures, **words, "floor" => floor, "deadlines" => deadlines, "opening" => ends("opening", OPENING),
                              "ending" => ends("ending", ENDING) }.compact
      end

      private

      def figures
        whole = WHOLE.to_h do |name, range|
          [name, @fields.integer(name, min: range.min, max: range.max, default: nil)]
        end
        { **whole, **SHARES.to_h { |name| [name, @fields.number(name, min: 0, max: 1, default: nil)] } }
      end

      def words
        {
          "school" => @fields.choice("school", Core::Planning::Schools::ALL.keys, default: nil),
          "checked_for" => (checked if @fields.given?("checked_for")),
          "waiting_lines" => lines("waiting_lines"),
          "remark_lines" => lines("remark_lines"),
          "steps_written" => (@fields.flag("steps_written", default: true) if @fields.given?("steps_written")),
          "steady_words" => (@fields.flag("steady_words") if @fields.given?("steady_words"))
        }
      end

      # Lines of a list with the places where they stand: [{"line" => 3, "text" => "…"}].
      def lines(name)
        return unless @fields.given?(name)

        @fields.list(name) do |line|
          { "line" => line.integer("line", min: 1, max: 1_000), "text" => line.text("text")[0, 40_000] }
        end
      end

      def checked = @fields.texts("checked_for") & Core::Piece::Checking::CHOICES.map(&:to_s)

      def floor
        @fields.object("floor") do |floor|
          %w[width depth].to_h { |side| [side, floor.number(side, min: 1, max: 200)] }
        end
      end

      def deadlines
        @fields.object("deadlines") do |days|
          given = DAYS.to_h { |name| [name, days.day(name, default: nil)&.iso8601] }
          given.merge("editing_days" => days.integer("editing_days", max: 120, default: nil)).compact
        end
      end

      # How a piece opens or ends: words, and stated values of the body.
      def ends(name, texts)
        @fields.object(name) do |ends|
          given = texts.to_h { |each| [each, ends.text(each, default: nil)&.slice(0, 200)] }
          numbers = { "facing" => ends.integer("facing", min: 1, max: 8, default: nil) }
          numbers["held"] = ends.integer("held", max: 512, default: nil) if name == "ending"
          given.merge(numbers).compact
        end
      end
    end
    private_constant :Settings
  end
end
