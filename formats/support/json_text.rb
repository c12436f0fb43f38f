# frozen_string_literal: true

module Formats
  # Text to JSON objects, with a fault instead of a parser's own words.
  module JsonText
    module_function

    # Raises FaultyFile when the text is not JSON, not an object, or not of this format (one, or a list of them).
    def parse(text, format:)
      data = JSON.parse(letters(text))
      raise FaultyFile, ["the file: must be one JSON object, got #{Fields.shown(data)}"] unless data.is_a?(Hash)

      known = Array(format)
      unless known.include?(data["format"])
        wanted = known.map(&:inspect).join(" or ")
        raise FaultyFile, ["format: must be #{wanted}, got #{Fields.shown(data['format'])}"]
      end

      data
    rescue JSON::ParserError, EncodingError => e
      why = e.message.lines.first.to_s.gsub(/[[:cntrl:]]/, "?").strip
      raise FaultyFile, ["the file: is not JSON (#{why[0, 120]})"]
    end

    def letters(text)
      read = text.to_s.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
      raise FaultyFile, ["the file: is not UTF-8, as JSON has to be"] unless read.valid_encoding?

      read
    end
  end
end
