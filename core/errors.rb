# frozen_string_literal: true

module Core
  # Root of everything the core raises on purpose.
  class Error < StandardError; end

  # Raised when a value cannot be built from what was given: a length below zero, an unknown rung.
  class ValueError < Error
    # path: where in the input ("sections[2].rows[0].counts"); problem: what is wrong and what was got.
    def initialize(path, problem)
      @path = path
      super("#{path}: #{problem}")
    end

    attr_reader :path
  end

  # Raised when a rehearsal plan is asked for something that cannot be placed by definition,
  # such as tasks that wait for each other in a circle.
  class CircularTasks < Error
    def initialize(ids)
      super("these tasks wait for each other in a circle: #{ids.join(', ')}")
    end
  end
end
