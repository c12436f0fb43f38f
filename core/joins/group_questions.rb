# frozen_string_literal: true

module Core
  module Joins
    # What a join asks of its groups: who is meant by a name, when the others begin, how a group with steps of its own
    # ends. An answer is typed into the eight where it was left open.
    class GroupQuestions
      # Counts after which the others begin.
      WHEN = { "4": 4, "8": 8 }.freeze
      FEET = { left: "L free", right: "R free", either: "both feet" }.freeze
      WAYS = { front: "ends facing front", back: "ends facing back", right: "ends facing right",
               left: "ends facing left" }.freeze
      THEN = /\bthen (?:the )?[\p{L} ]+/i
      private_constant :FEET, :WAYS, :THEN

      # held: Review::Held.
      def initialize(held)
        @held = held
      end

      # [Question], what nobody can dance without first.
      def all = [*asked, *@held.groups.to_a.flat_map { |standing| of(standing) }].compact

      private

      def asked
        finding = @held.findings.find { |each| each.state == :groups && each.facts[:asked] } or return []
        side = finding.facts[:side] == :entering ? @held.seam.entering : @held.seam.leaving
        options = finding.facts[:asked] == :who ? people(side, finding) : times(side, finding)
        return [] if options.empty?

        [Question.new(
          kind: :"group_#{finding.facts[:asked]}", state: :groups, edge: :exit, section: side.section,
          index: @held.join.index, options: options.keys, row: finding.facts[:row], word: finding.facts[:said],
          mends: options
        )]
      end

      # {name => Mend that writes it where the other name stands}
      def people(side, finding)
        said = finding.facts[:said]
        side.section.cast_groups.map(&:last).to_h do |name|
          [name.to_sym, typed(side, finding) { |text| text.sub(/(?<!\p{L})#{Regexp.escape(said)}(?!\p{L})/, name) }]
        end.compact
      end

      # {counts => Mend that writes them behind "then the others"}
      def times(side, finding)
        whole = { **WHEN, after: side.section.counts }
        whole.to_h do |option, counts|
          [option, typed(side, finding) { |text| text.sub(THEN) { |said| "#{said.strip} #{counts} later" } }]
        end.compact
      end

      # The Mend that changes a section's eight, by its number in the section.
      def typed(side, finding)
        row = side.place.link.danced.index { |danced| danced.origin == finding.facts[:row] } or return
        text = side.place.link.danced[row].row.text
        other = yield(text)
        mend(side.place.index, row + 1, other) unless other == text || other.length > 1000
      end

      def mend(link, row, text)
        Mend.new(change: :say_groups, link:, row:, edit: Edit::Row.new(row:, text:), facts: {})
      end

      # How a group with its own last eight ends.
      def of(standing)
        open = standing.findings.select(&:question?).to_h { |finding| [finding.state, finding] }
        asked = word(standing, open.keys)
        return [asked] if asked

        [(ending(standing, :weight, FEET) if open[:weight]), (ending(standing, :facing, WAYS) if open[:facing])]
      end

      # A word of its own that nobody knows is asked about as any other.
      def word(standing, states)
        states.each do |state|
          doubt = standing.seam.leaving.doubt(state)
          word = doubt&.move&.kind == :unknown && Movement::Meaning.word(doubt.move) or next
          side = @held.seam.leaving
          return Question.new(
            kind: :word, state:, edge: :exit, section: side.section, index: @held.join.index,
            options: Movement::Meaning::EFFECTS, row: side.place.link.danced[doubt.row - 1]&.origin, word:
          )
        end
        nil
      end

      def ending(standing, state, words)
        section = @held.seam.leaving.section
        name = section.cast_groups.to_h[standing.group]
        mends = words.transform_values { |word| typed_behind(name, word) }.compact
        return if mends.empty?

        Question.new(
          kind: :group_end, state:, edge: :exit, section:, index: @held.join.index, options: mends.keys,
          row: last.origin, word: name, mends:
        )
      end

      # The last eight as danced: Piece::Changes::Danced.
      def last = @held.seam.leaving.place.link.danced.last

      # The Mend that types words behind a group's own steps of the last eight; nil where it has none there.
      def typed_behind(name, word)
        side = @held.seam.leaving
        text = last&.row&.text.to_s
        own = Movement::GroupWords.of(text, side.section.cast_groups.map(&:last)).own[name].to_s
        return if own.empty? || !text.include?(own)

        mend(side.place.index, side.place.link.danced.size, text.sub(own) { "#{own}, #{word}" })
      end
    end
  end
end
