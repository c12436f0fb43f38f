# frozen_string_literal: true

module App
  module Shared
    # Findings of the core in words.
    module Wording
      module_function

      def music(finding)
        I18n.t(
          "findings.music.#{finding.kind}",
          count: finding.count,
          amount: finding.amount.is_a?(Float) ? Formats::Times.tenth(finding.amount) : finding.amount,
          subject: finding.subject
        )
      end

      # What says why a plan falls short. names: {id => name} of people, tasks and rehearsals.
      def reasons(names)
        day = ->(date) { Dates.day(Date.iso8601(date)) }
        Core::Planning::ReasonWriter.new(names, say: I18n.method(:t), day:)
      end

      # Where a body is, in words; what is not known is left out.
      def body(body)
        parts = [
          (I18n.t("weights.#{body.weight.value}") if body.weight.sure?),
          (I18n.t("facings")[body.facing.value - 1] if body.facing.sure?),
          (I18n.t("levels.#{body.level.value}") if body.level.sure?)
        ]
        parts.compact.join(", ")
      end

      # How an eight or a section ends: which foot is free first.
      def ending(body)
        [free_foot(body), facing(body.facing), level(body.level)]
      end

      def free_foot(body)
        known = body.weight
        foot = body.free_foot || known.value
        return I18n.t("free_foot.supposed", what: I18n.t("free_foot.#{foot}")) if known.source == :supposed

        I18n.t("free_foot.#{foot || (known.source == :choice ? :choice : :unknown)}")
      end

      def facing(known)
        return I18n.t("facing_unknown") unless known.known?

        to = I18n.t("facing", to: I18n.t("facings")[known.value - 1])
        known.source == :supposed ? I18n.t("supposed", what: to) : to
      end

      def level(known)
        words = I18n.t("levels.#{known.value}")
        known.source == :supposed ? I18n.t("supposed", what: words) : words
      end

      def line_fault(fault) = I18n.t("steps.line_faults.#{fault.kind}", text: fault.text)

      # What a button says that answers a line of a list.
      def way(way)
        return way.label.lines.map(&:chomp).join(" · ") if way.kind == :typed

        I18n.t("structure.ways.#{way.kind}", name: way.label, count: way.label.to_i)
      end

      def structure(finding)
        key = finding.hint && finding.kind == :unknown_repeat ? "unknown_repeat_hint" : finding.kind
        I18n.t("findings.structure.#{key}", line: finding.line, subject: finding.subject, hint: finding.hint)
      end
    end
  end
end
