# frozen_string_literal: true

module Core
  module Learning
    # Something one can have or not: a section (s…), an altered link's difference (d…), a join (j…), the
    # opening or the ending, or what one group dances of its own in a section (s…@group). links: indexes of
    # the links where it is danced. counts: new counts to learn. group: whose own it is.
    class Item < Values::Value.of(:kind, :key, :name, :links, counts: 0, group: nil)
      KINDS = %i[opening section own difference join ending].freeze
      OPENING = Values::ItemKey.opening.to_s
      ENDING = Values::ItemKey.ending.to_s
    end
  end
end
