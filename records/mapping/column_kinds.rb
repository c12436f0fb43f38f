# frozen_string_literal: true

module Records
  module Mapping
    # Whether the values of a row that came from elsewhere are what the columns of a table hold: of their kind, finite,
    # and dates within the years that anybody dances in.
    class ColumnKinds
      YEARS = 1900..2200
      DATE = /\A\d{4}-\d{2}-\d{2}\z/
      MOMENT = /\A\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2}(\.\d{1,9})?(Z|[+-]\d{2}:?\d{2})?\z/
      LONGEST = 100_000
      LARGEST = 2**62

      def initialize(table)
        @table = table
        @columns = Base.connection.columns(table).index_by(&:name)
      end

      # Raises Core::ValueError with the place of the first that is not.
      def look(row)
        row.each do |name, value|
          column = @columns[name]
          next if column.nil? || value.nil? || right?(column, value)

          raise Core::ValueError.new("tables/#{@table}.json: #{name}", "cannot be #{value.to_json[0, 40]}")
        end
      end

      private

      def right?(column, value)
        return value.is_a?(Array) && value.size <= LONGEST && value.all? { |each| kind?(column, each) } if column.array

        kind?(column, value)
      end

      def kind?(column, value)
        case column.type
        when :integer, :bigint then value.is_a?(Integer) && value.abs < LARGEST
        when :float, :decimal then value.is_a?(Numeric) && value.abs < LARGEST
        when :boolean then [true, false].include?(value)
        when :date then date?(value, DATE)
        when :datetime then date?(value, MOMENT)
        when :string, :text then value.is_a?(String) && value.size <= LONGEST && !value.include?("\0")
        else true
        end
      end

      def date?(value, pattern)
        value.is_a?(String) && value.match?(pattern) && YEARS.cover?(value[0, 4].to_i) && Date.valid_date?(*days(value))
      end

      def days(value) = value[0, 10].split("-").map(&:to_i)
    end
  end
end
