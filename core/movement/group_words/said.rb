# frozen_string_literal: true

module Core
  module Movement
    class GroupWords
      # main: the text that everybody else dances; own: {name => text}; later: {name or nil for all others => counts};
      # holds: [[names, from, to], …] in counts of the line (to nil: its last); first: names that begin, or nil;
      # apart: [names in order (none: all), counts] of a canon, or nil.
      Said = Struct.new(:main, :own, :later, :holds, :first, :apart, keyword_init: true) do
        # Every name it speaks of.
        def names = [*own.keys, *later.keys.compact, *holds.flat_map(&:first), *first.to_a, *apart&.first.to_a].uniq

        # Whether it speaks of anybody.
        def any? = own.any? || later.any? || holds.any? || !apart.nil?

        # The same of a line danced on its other side.
        def turned = dup.tap { |said| said.own = own.transform_values { |text| Mirror.text(text) } }

        # As somebody types it: [text].
        def texts
          holding = holds.map { |names, from, to| "#{names.join(' and ')} hold#{" #{from}-#{to}" if to}" }
          [*after, *holding, *canon, *own.map { |name, text| "#{name}: #{text}" }]
        end

        private

        def canon = apart ? [[*apart.first, "each #{apart.last} counts after the last"].join(", ")] : []

        def after
          named = later.except(nil).filter_map { |name, counts| "#{name} #{counts} later" if counts }
          return named unless later.key?(nil)

          others = later[nil] ? "the others #{later[nil]} later" : "the others"
          [first ? "#{first.join(' and ')} first, then #{others}" : others, *named]
        end
      end
    end
  end
end
