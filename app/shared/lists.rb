# frozen_string_literal: true

module App
  module Shared
    # Lists in a sentence: "Ada, Bram and Cleo", or kept short: "Ada, Bram, Cleo and 4 more".
    module Lists
      module_function

      def all(words) = words.to_sentence

      def of(words, most = 3)
        return all(words) if words.size <= most

        "#{words.first(most).join(', ')} #{I18n.t('lists.and_more', count: words.size - most)}"
      end
    end
  end
end
