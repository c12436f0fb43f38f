# frozen_string_literal: true

module Core
  module Movement
    # Findings of a walk as sentences; the words stand in the locale file.
    class FindingWriter
      REASONS = %i[same_foot from_the_floor past_end stated_otherwise].freeze
      private_constant :REASONS

      # say: a callable (key, **values) => text.
      def initialize(say:) = @say = say

      # Core::Movement::Finding => "The left foot already bears the weight. …"
      def text(finding)
        reason = REASONS.find { |known| known == finding.reason } || :no_such_count
        reason = :"from_the_floor_#{finding.subject == :kneeling ? 'knees' : 'floor'}" if reason == :from_the_floor
        @say.call("walk_findings.#{reason}", subject: finding.subject)
      end
    end
  end
end
