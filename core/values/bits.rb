# frozen_string_literal: true

module Core
  module Values
    # Sets of people as whole numbers: bit i stands for person i. Union is |, intersection is &.
    module Bits
      module_function

      # [0, 3] => 0b1001
      def of(indexes) = indexes.reduce(0) { |set, index| set | (1 << index) }

      # How many there are in a set.
      def count(set) = set.to_s(2).count("1")

      # 0b1001 => [0, 3]
      def to_a(set)
        found = []
        while set.positive?
          low = set & -set
          found << (low.bit_length - 1)
          set ^= low
        end
        found
      end
    end
  end
end
