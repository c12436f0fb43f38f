# frozen_string_literal: true

module App
  module Shared
    # What the rules find of a join, in words: each side, and the whole in a sentence.
    class JoinWording
      def initialize(join, work, groups: {})
        @join = join
        @mends = Core::Joins::MendWriter.new(work, say: I18n.method(:t))
        @groups = groups
      end

      def state(finding) = I18n.t("joins.states.#{finding.state}")
      def mend(mend) = @mends.text(mend)
      def leaving(finding) = side(finding, :leaving)
      def entering(finding) = side(finding, :entering)

      # "Smoke ends with weight on the right; Drift steps out on the right."
      def sentence(finding)
        return special(finding) if %i[counts groups tempo repeat place].include?(finding.state)

        I18n.t(
          "joins.sentence",
          from: @join.leaving.name,
          left: leaving(finding),
          to: @join.entering.name,
          right: entering(finding),
          counts: counts(finding)
        )
      end

      private

      def counts(finding)
        return "" if finding.state == :weight || finding.state == :hands || finding.question?

        I18n.t("joins.available", counts: amount(finding.counts))
      end

      def amount(counts) = I18n.t("joins.counts", count: counts, said: Amount.of(counts.to_f))

      def side(finding, which)
        known = finding.public_send(which)
        return groups_side(finding, which) if finding.state == :groups
        return not_known(finding, which) if open?(finding, known)

        case finding.state
        when :weight then weight(known, which)
        when :facing then facing_side(finding, known, which)
        when :level then I18n.t("levels.#{known.value}")
        when :place then place(finding, known)
        when :counts then counts_side(known, which)
        when :tempo then I18n.t("times.#{known.value}")
        when :hands then hands(known)
        when :wheels then I18n.t("joins.wheels.#{known.value}")
        else I18n.t("joins.link", index: known.value)
        end
      end

      # Whether there is no value to say.
      def open?(finding, known) = known.source == :supposed || (finding.unwritten? && known.source == :not_stated)

      # A value that something unknown came after, or that no words lead to yet.
      def not_known(finding, which)
        return I18n.t("joins.nothing_written") if finding.public_send(which).source == :not_stated

        word = finding.facts[:word] if finding.facts[:unknown] && which == :leaving
        word ? I18n.t("joins.not_known_since", word:) : I18n.t("joins.not_known")
      end

      def weight(known, which)
        return I18n.t("joins.choice") if known.source == :choice
        return I18n.t("joins.not_stated") unless known.known?

        if which == :entering && %i[left right].include?(known.value)
          I18n.t("joins.steps_out", foot: known.value == :left ? "right" : "left")
        else
          I18n.t("weights.#{known.value}")
        end
      end

      def facing_side(finding, known, which)
        return facing(known) if known.source != :not_stated || !known.known? || (finding.fits? && which == :leaving)

        I18n.t("joins.not_stated_facing", to: facing(known))
      end

      def facing(known)
        return I18n.t("joins.as_it_comes") if known.source == :choice

        known.known? ? I18n.t("facings")[known.value - 1] : I18n.t("joins.not_stated")
      end

      def place(finding, known)
        return I18n.t("joins.metres", metres: finding.facts[:metres]) if finding.facts[:metres]

        known.known? ? known.value : I18n.t("joins.not_stated")
      end

      def counts_side(known, which)
        if which == :leaving
          known.value.zero? ? I18n.t("joins.ends_on") : I18n.t("joins.over", counts: Amount.of(known.value))
        else
          I18n.t(known.value.zero? ? "joins.begins_on" : "joins.pickup")
        end
      end

      def groups_side(finding, which)
        return I18n.t("joins.not_known") if finding.facts[:asked]

        return I18n.t("joins.meet", count: finding.entering.value) if which == :entering && finding.facts[:meet]
        return I18n.t(finding.fits? ? "joins.all_together" : "joins.wants_all") if which == :entering

        late = finding.facts[:later]&.keys&.then { |names| Lists.all(names) }
        return I18n.t("joins.late", group: late, count: finding.leaving.value) if late

        early = finding.facts[:early].select { |_, counts| counts.positive? }
        if early.empty?
          I18n.t("joins.ends_together", count: finding.leaving.value)
        else
          early.map { |group, counts| I18n.t("joins.early", group: @groups.fetch(group, group), counts:) }.join(", ")
        end
      end

      def hands(known)
        return I18n.t("joins.not_stated") unless known.known?

        known.value == "" ? I18n.t("joins.empty_hands") : I18n.t("joins.in_hand", what: known.value)
      end

      def special(finding)
        from = @join.leaving.name
        to = @join.entering.name
        case finding.state
        when :counts
          I18n.t(
            "joins.reasons.#{finding.reason}",
            from:,
            to:,
            **finding.facts.transform_values { |value| Amount.of(value.to_f) }
          )
        when :groups
          return asked(finding) if finding.facts[:asked]

          I18n.t("joins.groups_apart", from:, left: leaving(finding), right: entering(finding))
        when :tempo
          I18n.t("joins.tempo_changes", from:, to:, left: leaving(finding), right: entering(finding))
        when :repeat
          I18n.t("joins.other_repeat", index: finding.leaving.value, others: finding.facts[:others].join(", "))
        else
          place_sentence(finding, from, to)
        end
      end

      # "Not known: who the “Reds” of Smoke are."
      def asked(finding)
        section = finding.facts[:side] == :entering ? @join.entering.name : @join.leaving.name
        I18n.t("joins.group.#{finding.facts[:asked]}", said: finding.facts[:said], section:)
      end

      def place_sentence(finding, from, to)
        if finding.facts[:metres]
          return I18n.t("joins.too_far", metres: finding.facts[:metres], counts: amount(finding.counts), to:)
        end

        I18n.t("joins.sentence", from:, left: leaving(finding), to:, right: entering(finding), counts: "")
      end
    end
  end
end
