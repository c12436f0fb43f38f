# frozen_string_literal: true

module App
  module Shared
    # A list that stays short: "Ada, Bram and Cleo", or "Ada, Bram, Cleo and 4 more".
    module Lists
      def self.of(words, most = 3)
        if words.size > most
          "#{words.first(most).join(', ')} #{I18n.t('few.more', count: words.size - most)}"
        else
          words.to_sentence
        end
      end
    end
  end
end
