# frozen_string_literal: true

module App
  module People
    module Erasing
      # The different texts that a column of a studio holds, read and written anew: words as they are, data as data, so
      # that a name next to a quotation mark or a backslash is found, and nothing but texts is touched.
      class Texts
        def initialize(studio, table, column)
          @studio = studio
          @table = table
          @column = column
          @type = connection.columns(table).find { |each| each.name == column }
        end

        # Each different value in which one of the runs of letters stands: the value, its texts, and how many rows
        # have it.
        def each(runs)
          near = runs.include?("") ? "TRUE" : runs.map { |run| "#{name}::text ILIKE '%#{run}%'" }.join(" OR ")
          found = connection.select_rows(<<~SQL)
            SELECT #{name}::text, count(*) FROM #{quoted} WHERE #{own} AND #{name} IS NOT NULL AND (#{near}) GROUP BY 1
          SQL
          found.each { |value, count| yield value, strings(parsed(value)), count }
        end

        # Writes a value anew, each of its texts as the block says. Answers the numbers of its rows.
        def rewrite(value, &)
          before = parsed(value)
          after = mapped(before, &)
          return [] if after == before

          connection.select_values(<<~SQL)
            UPDATE #{quoted} SET #{name} = #{literal(after)}
            WHERE #{own} AND #{name}::text = #{connection.quote(value)} RETURNING id
          SQL
        end

        private

        def connection = Records::Base.connection
        def quoted = connection.quote_table_name(@table)
        def name = connection.quote_column_name(@column)
        def own = "studio_id = #{@studio.id.to_i}"
        def list = connection.lookup_cast_type_from_column(@type)
        def data? = %w[jsonb json].include?(@type.sql_type)

        def parsed(value)
          return JSON.parse(value) if data?

          @type.array ? list.deserialize(value) : value
        end

        def literal(value)
          return "#{connection.quote(JSON.generate(value))}::#{@type.sql_type}" if data?

          connection.quote(@type.array ? list.serialize(value) : value)
        end

        def strings(value)
          case value
          when String then [value]
          when Array then value.flat_map { |each| strings(each) }
          when Hash then value.flat_map { |key, each| [key, *strings(each)] }
          else []
          end
        end

        def mapped(value, &block)
          case value
          when String then yield value
          when Array then value.map { |each| mapped(each, &block) }
          when Hash then mapped_hash(value, &block)
          else value
          end
        end

        def mapped_hash(hash, &block)
          hash.each_with_object({}) { |(key, each), made| made[free(made, yield(key))] = mapped(each, &block) }
        end

        # Two keys that became the same are two.
        def free(made, key)
          made.key?(key) ? (2..).lazy.map { |number| "#{key} #{number}" }.find { |other| !made.key?(other) } : key
        end
      end
    end
  end
end
