# frozen_string_literal: true

module Formats
  module Csv
    # The letters of a file: UTF-8 or UTF-16 where it says so or looks so, else those of old spreadsheets
    # (Windows-1252). Line ends of every kind become one.
    module Letters
      MARKS = {
        "\xEF\xBB\xBF".b => Encoding::UTF_8,
        "\xFF\xFE".b => Encoding::UTF_16LE,
        "\xFE\xFF".b => Encoding::UTF_16BE
      }.freeze
      # How the files of spreadsheets and of zip archives begin.
      NO_TEXT = ["PK\x03\x04".b, "\xD0\xCF\x11\xE0".b, "%PDF".b].freeze

      module_function

      # Bytes or a text => a text of UTF-8 with "\n" as line end. Raises FaultyFile where it is no text.
      def of(source)
        bytes = source.to_s.b
        raise FaultyFile, ["the file: is no text"] if NO_TEXT.any? { |start| bytes.start_with?(start) }

        mark, encoding = MARKS.find { |start, _| bytes.start_with?(start) }
        text = decoded(bytes.byteslice((mark || "").bytesize..), encoding || guessed(bytes))
        text.gsub(/\r\n?|[\u0085\u2028\u2029]/, "\n").gsub(/[[:cntrl:]&&[^\n\t]]/, "")
      end

      # Every other byte of Latin letters in UTF-16 is zero.
      def guessed(bytes)
        zeros = bytes.byteslice(0, 400).bytes.each_with_index.select { |byte, _| byte.zero? }.map { |_, at| at % 2 }
        return zeros.sum * 2 > zeros.size ? Encoding::UTF_16LE : Encoding::UTF_16BE if zeros.size > 3

        bytes.dup.force_encoding(Encoding::UTF_8).valid_encoding? ? Encoding::UTF_8 : Encoding::Windows_1252
      end

      def decoded(bytes, encoding)
        bytes.dup.force_encoding(encoding).encode(Encoding::UTF_8, invalid: :replace, undef: :replace).scrub("?")
      end
    end
  end
end
