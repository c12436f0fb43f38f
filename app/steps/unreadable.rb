# frozen_string_literal: true

module App
  module Steps
    # Texts are read once before they are stored: what the reader cannot take is refused here, with all that was typed,
    # rather than met by everybody who opens the piece.
    module Unreadable
      module_function

      # A sentence about the first text that cannot be read, or nil.
      def fault(texts, vocabulary)
        text = texts.find { |each| !Core::Movement::Reader.readable?(each, vocabulary:) }
        I18n.t("steps.unreadable", text: text[0, 80]) if text
      end
    end
  end
end
