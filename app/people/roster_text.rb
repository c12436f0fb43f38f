# frozen_string_literal: true

module App
  module People
    # What was pasted or uploaded, as text.
    module RosterText
      def self.from(params)
        file = params["file"]
        return params["text"].to_s unless file.is_a?(Hash) && file[:tempfile]&.size&.positive?

        raw = file[:tempfile].read.force_encoding(Encoding::UTF_8)
        if raw.valid_encoding?
          raw
        else
          raw.force_encoding(Encoding::Windows_1252).encode(Encoding::UTF_8, invalid: :replace, undef: :replace)
        end
      end
    end
  end
end
