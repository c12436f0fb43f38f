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

        # Each different value in which one of the runs of letters stands: the value, its texts, and how many rows have
        # it.
        def each(runs)
          sql = "SELECT #{name}::text, count(*) FROM #{quoted} " \
                "WHERE studio_id = $1 AND #{name}::text ILIKE ANY ($2::text[]) GROUP BY 1"
          near = "{#{runs.map { |run| "%#{run}%" }.join(',')}}"
          Records::Base.rows_of(sql, "names", [@studio.id, near]).each do |value, count|
            yield value, strings(parsed(value)), count
          end
        end

        # Writes a value anew, each of its texts as the block says. Answers the numbers of its rows.
        def rewrite(value, &)
          before = parsed(value)
          after = mapped(before, &)
          return [] if after == before

          sql = "UPDATE #{quoted} SET #{name} = #{typed} WHERE studio_id = $1 AND #{name}::text = $2 RETURNING id"
          given = data? || @type.array ? after.to_json : after
          Records::Base.done_with(sql, "names", [@studio.id, value, given]).flatten
        end

        private

        def connection = Records::Base.connection
        def quoted = connection.quote_table_name(@table)
        def name = connection.quote_column_name(@column)
        def list = connection.lookup_cast_type_from_column(@type)
        def data? = %w[jsonb json].include?(@type.sql_type)

        # How the third value given becomes one of the column.
        def typed
          return "ARRAY(SELECT jsonb_array_elements_text($3::jsonb))" if @type.array

          data? ? "$3::#{@type.sql_type}" : "$3"
        end

        def parsed(value)
          return JSON.parse(value) if data?

          @type.array ? list.deserialize(value) : value
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
