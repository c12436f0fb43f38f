# frozen_string_literal: true

module Core
  module Joins
    # What the joins of a piece ask, few and useful: a doubt that comes from a word is asked about the word, once, and a
    # section's end once, however many joins lean on it; two a join at most. Joins in `settled`
    # ask nothing. What groups leave open is GroupQuestions.
    class Questions
      MOST = 2
      STATES = %i[level weight facing].freeze
      FACINGS = { front: 1, back: 5, right: 3, left: 7 }.freeze
      FEET = %i[left right either].freeze
      AMOUNTS = { half: "half", full: "full", quarter: "quarter" }.freeze

      # held: [Review::Held]; settled: keys of joins that were agreed in the room.
      def initialize(held, settled: [])
        @held = held
        @settled = settled
      end

      # [Question], in order of the piece, each once.
      def all = @all ||= asking.flat_map { |held| of(held) }.uniq(&:key)

      # [Question] of one join, most useful first.
      def of(held)
        return [] if @settled.include?(held.join.key)

        open = held.findings.select(&:question?).to_h { |finding| [finding.state, finding] }
        found = STATES.filter_map { |state| open[state] && question(held, open[state]) }
        found.concat(GroupQuestions.new(held).all)
        found.uniq(&:key).sort_by { |each| rank(each) }.first(MOST)
      end

      private

      def asking = @held.uniq { |held| [held.join.key, held.findings] }

      # Who dances at all comes first, then words, then the edges.
      def rank(question)
        return 0 if %i[group_who group_when].include?(question.kind)

        return 1 if question.kind == :word

        STATES.index(question.state) + (question.group? ? 5 : 2)
      end

      def question(held, finding)
        entering = finding.facts[:side] == :entering
        side = entering ? held.seam.entering : held.seam.leaving
        doubt = entering ? Movement::Walk::Doubt.new(row: 1, move: side.unknown) : side.doubt(finding.state)
        word(side, doubt, finding, held) || turn(side, doubt, finding, held) || state(held, finding)
      end

      # "What does weathervane do to the feet?"
      def word(side, doubt, finding, held)
        return unless doubt&.move&.kind == :unknown

        word = Movement::Meaning.word(doubt.move) or return
        Question.new(
          kind: :word, state: finding.state, edge: side.equal?(held.seam.leaving) ? :exit : :entry,
          section: side.section, index: held.join.index, options: Movement::Meaning::EFFECTS,
          row: origin(side, doubt.row), word:
        )
      end

      def origin(side, row) = row && side.place.link.danced[row - 1]&.origin

      # "How far is this turn?", where it is the last thing that turned.
      def turn(side, doubt, finding, held)
        return unless finding.state == :facing && doubt&.move&.turn.nil? && doubt&.row

        options = AMOUNTS.keys.to_h { |amount| [amount, turned(side, doubt, amount)] }.compact
        return if options.empty?

        Question.new(
          kind: :turn, state: :facing, edge: :exit, section: side.section, index: held.join.index,
          options: options.keys, row: origin(side, doubt.row), word: doubt.move.text, mends: options
        )
      end

      # The Mend that types the amount behind the turn, where it then reads as one.
      def turned(side, doubt, amount)
        row = side.place.link.danced[doubt.row - 1] or return
        text = row.row.text.sub(doubt.move.text, "#{doubt.move.text} #{AMOUNTS.fetch(amount)}")
        line = side.reader.read(text, counts: row.row.counts).first
        return if text == row.row.text || line.moves.any? { |move| move.turn.nil? }

        Mend.new(
          change: :turn_amount, link: side.place.index, row: doubt.row,
          edit: Edit::Row.new(row: doubt.row, text:), facts: { amount:, turn: doubt.move.text }
        )
      end

      # "Which foot is free at the end of Smoke?"
      def state(held, finding)
        side, edge = asked_of(held, finding)
        mends = values(finding, edge).transform_values { |value| stated(side, edge, finding.state => value) }
        Question.new(
          kind: :state, state: finding.state, edge:, section: side.section, index: held.join.index,
          options: mends.keys, row: edge == :exit ? origin(side, side.row) : 1, mends:
        )
      end

      # The side that has not said it: the one it leaves from, unless that is known or the other one begins openly.
      def asked_of(held, finding)
        known = finding.state == :weight ? finding.facts[:side] == :entering : finding.leaving.sure?
        known ? [held.seam.entering, :entry] : [held.seam.leaving, :exit]
      end

      # {option => value of the body}
      def values(finding, edge)
        case finding.state
        when :weight then { left: :right, right: :left, either: :both }
        when :facing then FACINGS
        else edge == :entry ? { finding.leaving.value => finding.leaving.value, standing: :standing } : levels
        end
      end

      def levels = %i[standing low kneeling floor].to_h { |level| [level, level] }

      def stated(side, edge, values)
        own = side.mirrored? ? Piece::Danced.turned(values) : values
        Mend.new(
          change: :state_edge, link: side.place.index, row: side.row,
          edit: Edit::Stated.new(edge:, values: own), facts: values
        )
      end
    end
  end
end
