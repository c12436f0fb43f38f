# frozen_string_literal: true

module App
  module Pages
    # Findings of the core in words.
    module Wording
      module_function

      def music(finding)
        I18n.t("findings.music.#{finding.kind}", count: finding.count, amount: finding.amount.is_a?(Float) ? Formats::Times.tenth(finding.amount) : finding.amount, subject: finding.subject)
      end

      def structure(finding)
        key = finding.hint && %i[new_teacher unknown_repeat].include?(finding.kind) ? "#{finding.kind}_hint" : finding.kind
        I18n.t("findings.structure.#{key}", line: finding.line, subject: finding.subject, hint: finding.hint)
      end
    end
  end
end
