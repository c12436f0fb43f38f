# frozen_string_literal: true

module App
  module People
    # Takes a name out of every text a studio keeps: columns of words and of data, delivered mails. The first name goes
    # too where nobody else in the studio has it, but not out of the work itself: a section may well be called Grace.
    # Logs of what happened are let through for this one purpose: only words change, no figure does.
    class Nameless
      WORDS = ["character varying", "text"].freeze
      DATA = %w[jsonb json].freeze
      # The pieces themselves: only a full name is taken out of them.
      WORK = %w[
        pieces sections eights links versions parts groups formations tracks revisions own_steps word_meanings rooms
      ].freeze

      def initialize(studio, name, alone:)
        @studio = studio
        @full = name
        @names = [name, (name.split.first if alone)].compact
      end

      # In a transaction of the caller's.
      def sweep
        connection.execute("SET LOCAL joinchain.erasing = 'on'")
        columns.each do |table, column, type|
          names = WORK.include?(table) ? [@full] : @names
          names.each { |name| replace(table, column, type, name) }
        end
      end

      # Delivered mails stand as files too, some with attachments: what names somebody is written anew from its row.
      def sweep_files
        words = @names.map { |name| /(?<!\p{L})#{Regexp.escape(name)}(?!\p{L})/ }
        @studio.mails.find_each do |row|
          text = Shared::MailFile.text(row)
          Shared::MailFile.keep(row) if words.any? { |word| text.match?(word) }
        end
      end

      private

      def connection = Records::Base.connection
      def nobody = I18n.t("kept.nobody")

      # [[table, column, type], …] of tables that hold rows of a studio.
      def columns
        connection.tables.flat_map do |table|
          all = connection.columns(table)
          next [] unless all.any? { |column| column.name == "studio_id" }

          all.select { |column| !column.array && (WORDS + DATA).include?(column.sql_type) }
            .map { |column| [table, column.name, column.sql_type] }
        end
      end

      # Whole words only.
      def replace(table, column, type, name)
        table = connection.quote_table_name(table)
        column = connection.quote_column_name(column)
        pattern = connection.quote("\\m#{Regexp.escape(name)}\\M")
        cleaned = "regexp_replace(#{column}::text, #{pattern}, #{connection.quote(nobody)}, 'g')"
        cleaned = "#{cleaned}::#{type}" if DATA.include?(type)
        connection.execute(<<~SQL)
          UPDATE #{table} SET #{column} = #{cleaned}
          WHERE studio_id = #{@studio.id.to_i} AND #{column}::text ~ #{pattern}
        SQL
      end
    end
  end
end
