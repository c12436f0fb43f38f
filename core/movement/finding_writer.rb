# frozen_string_literal: true

module Core
  module Movement
    # Findings of a walk as sentences.
    module FindingWriter
      module_function

      def text(finding)
        case finding.reason
        when :same_foot then "The #{finding.subject} foot already bears the weight. Is there a close or a weight change before it?"
        when :from_the_floor then "This starts standing, but the body is on the #{finding.subject == :kneeling ? 'knees' : 'floor'} here. When does it get up?"
        when :past_end then "#{finding.subject} lies past the end of this line."
        else "This line has no count #{finding.subject}."
        end
      end
    end
  end
end
