# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # What a clause repeats, and how much of it.
      module Repeating
        private

        # A name of its own: "v2 as v1".
        def called(at, name)
          said = @clause.name
          return "" if said.nil? || name.nil? || @draft.fold(said) == @draft.fold(@draft.sections[at].name)
          return "" if @clause.of.nil? && !@draft.called?(said) && @draft.at(said, loose: true) == at

          said[0, StructureReader::MAX_NAME]
        end

        def other_length?(section)
          return false if @clause.part || section.rows.empty?

          rows = @clause.length&.rows || (@clause.length&.bare && Length.eights(@clause.length.bare))
          rows && rows != section.rows && rows.sum != section.rows.sum && @clause.length.bare != section.rows.size
        end

        def ask_length(section)
          said = @clause.length.said.strip
          rows = @clause.length.rows || Length.eights(@clause.length.bare)
          own = @line.text.sub(/#{Regexp.escape(section.name)}/i, "#{section.name} 2").sub(/,?\s*\bagain\b/i, "")
          part = "#{section.name}, again, only the first #{rows.size} eights" if rows.sum < section.rows.sum
          ask(:other_length, section.name, hint: said, typed: [part, own, "#{section.name}, again"].compact)
        end

        def how_much(section)
          ways = [", only the first half", ", only the last half", ""].map { |part| "#{section.name}, again#{part}" }
          ask(:how_much, section.name, typed: ways)
        end

        def changes(section)
          said = @clause.changed.to_a
          changed = said.grep(1..section.rows.size)
          lost = said - changed
          @draft.note(@at, :no_such_eight, lost.first, section.rows.size) if lost.any?
          @draft.note(@at, :which_eights, section.name) if @clause.changed && said.empty? && section.rows.any?
          changed.uniq.sort
        end

        # [first, last] eight of a part, or nil.
        def only(section)
          which, amount, to = @clause.part
          size = section.rows.size
          return unless which && size.positive?
          return ([amount, to] if to <= size) if which == :from

          first = %w[first opening].include?(which)
          eights = eights(first ? section.rows : section.rows.reverse, amount)
          return unless eights&.between?(1, size - 1)

          first ? [1, eights] : [size - eights + 1, size]
        end

        # How many eights from an edge on are so many counts, or half of all; nil where none are.
        def eights(rows, amount)
          counts = amount == :half ? rows.sum.fdiv(2) : amount
          (1..rows.size).find { |size| rows.first(size).sum == counts }
        end

        # A part that is no whole number of eights.
        def odd_part?(section) = @clause.part && section.rows.any? && only(section).nil? && !whole_part?(section)

        def whole_part?(section)
          which, amount, to = @clause.part
          which == :from ? [amount, to] == [1, section.rows.size] : amount == section.rows.sum
        end
      end
    end
  end
end
