# frozen_string_literal: true

module Core
  module Planning
    # By what a task is known in plans: what is done, and with which learning item (or stretch, or number).
    #
    #   TaskKey.of("learn", "s12")       # => "learn-s12"
    #   TaskKey.subject("learn-s12")     # => "s12"
    module TaskKey
      module_function

      # doing: "learn", "join", "review" …; subject: an item's key, "1-4", a number. The same key, the same task.
      def of(doing, subject) = "#{doing}-#{subject}"

      # What is done, of a key such as "learn-s3": "learn".
      def doing(key) = key[/\A[^-]+/]

      # What it is done to: "s3".
      def subject(key) = key.sub(/\A[^-]+-/, "")
    end
  end
end
