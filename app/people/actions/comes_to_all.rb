# frozen_string_literal: true

module App
  module People
    module Actions
      # Somebody says that they come to all rehearsals, as far as they know. What they said of single days stays.
      class ComesToAll
        def initialize(person, today)
          @person = person
          @today = today
        end

        def run = @person.update!(comes_said_on: @today)
      end
    end
  end
end
