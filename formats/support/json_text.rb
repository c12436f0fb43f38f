# frozen_string_literal: true

module Formats
  # Text to JSON objects, with a fault instead of a parser's own words.
  module JsonText
    module_function

    # Raises FaultyFile when the text is not JSON, not an object, or not of this format.
    def parse(text, format:)
      data = JSON.parse(text.to_s.dup.force_encoding(Encoding::UTF_8))
      raise FaultyFile, ["the file: must be one JSON object, got #{Fields.shown(data)}"] unless data.is_a?(Hash)
      unless data["format"] == format
        raise FaultyFile, ["format: must be #{format.inspect}, got #{Fields.shown(data['format'])}"]
      end

      data
    rescue JSON::ParserError, EncodingError => e
      raise FaultyFile, ["the file: is not JSON (#{e.message.lines.first.to_s.strip[0, 120]})"]
    end
  end
end
