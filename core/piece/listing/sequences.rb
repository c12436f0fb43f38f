# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Lines that say an order: A B A, one given before or after, from the top.
      module Sequences
        ORDER = /\A(?:the\s+)?(?:(?:whole|running)\s+)?order\s*(?:is|goes|:|=)+\s*/i
        private_constant :ORDER

        private

        # Orders that move or drop what is there; :which where it has to be asked which one.
        def afterwards(line, text)
          return if @draft.links.empty? || Length.find(text)

          links = Afterwards.new(@draft.links, ->(name) { @draft.at(name) }).after(text) or return
          return ask(line, :which_link, text) if links == :which

          @draft.order(links, line.number)
          @draft.account(line.number).note = line.text
          true
        end

        # "from the top again": everything that came so far once more.
        def top(line, text)
          match = Echo::TOP.match(text)
          return unless match && @draft.links.any?

          @draft.links.dup.each do |link|
            copy = link.to_h.merge(line: line.number, called: "")
            copy[:mirrored] = !copy[:mirrored] if match[:side]
            @draft.link(**copy)
          end
        end

        # "A B A C A"
        def sequence(line, text)
          text = text.sub(Words::LEAD, "").delete_suffix(".")
          order = ORDER.match(text)
          text = order.post_match if order
          ways = [/\s*(?:,|→|->|\+|\bthen\b|\s-\s|\band\b)\s*/, /\s+/].map { |by| text.split(by).reject(&:empty?) }
          ways.select { |names| names.size > 1 }.any? { |names| named(line, names, order) }
        end

        # Links of names that came before, or an order of names that come later.
        def named(line, names, order)
          known = names.map { |name| @draft.at(name) }
          return order ? anew(line, known) : known.each { |at| link(at, line.number) } if known.all?

          later(line, names) if names.size > 2 && names.all? { |name| @later.key?(@draft.fold(name)) }
        end

        # "The order is A, B, A": what was listed before is only what there is.
        def anew(line, known)
          before = @draft.links.reject { |each| known.include?(each.section) }
          known.each { |at| link(at, line.number) }
          @draft.order([*before, *@draft.account(line.number).links], line.number)
        end

        # An order that stands before what it orders.
        def later(line, names)
          return if names.uniq.size == names.size && names.size < 4

          @order = [line.number, names]
          @draft.account(line.number).note = line.text
        end

        def later_order
          number, names = @order
          made = @draft.links.dup
          @draft.account(number).links.clear
          @draft.links.clear
          names.each { |name| (at = @draft.at(name)) && link(at, number) }
          placed = @draft.links.map(&:section)
          @draft.links.concat(made.reject { |each| placed.include?(each.section) })
        end
      end
    end
  end
end
