# frozen_string_literal: true

module Core
  module Planning
    # What one plan changes of another for people: new calls, cancelled ones, other times. The one answer to it.
    #
    #   CallDifference.new({ ["ada", "w1"] => [1080, 1140] }, {}).all
    #   # => { ["ada", "w1"] => Change(kind: :cancelled, before: [1080, 1140], after: nil) }
    class CallDifference
      # kind: :new_call, :cancelled or :shifted; before, after: [first minute, last minute] or nil.
      Change = Struct.new(:kind, :before, :after, keyword_init: true)

      # before, after: {a person in a rehearsal, by whatever keys => [first minute, last minute]}.
      def initialize(before, after)
        @before = before
        @after = after
      end

      # {key => Change} of all that differs.
      def all
        keys = (@before.keys | @after.keys).reject { |key| @before[key] == @after[key] }
        keys.to_h { |key| [key, Change.new(kind: kind(key), before: @before[key], after: @after[key])] }
      end

      # Keys of calls that are new or fall away, whatever the times of the others.
      def other_calls = all.reject { |_, change| change.kind == :shifted }.keys

      private

      def kind(key)
        return :new_call unless @before.key?(key)

        @after.key?(key) ? :shifted : :cancelled
      end
    end
  end
end
