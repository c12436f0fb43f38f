# frozen_string_literal: true

module Records
  # A form that was sent once: sending it again answers with where the first one led.
  class Submission < Base
    belongs_to :studio
  end
end
