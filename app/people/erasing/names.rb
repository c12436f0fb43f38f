# frozen_string_literal: true

module App
  module People
    module Erasing
      # The names that somebody had, and where in a text they are meant: less every stretch that lies inside the longer
      # name of somebody else or a title of the work.
      class Names
        # range: where in the text; sure: nobody and nothing else is called so.
        Meant = Struct.new(:range, :sure, :single)

        # names: [String] as they are or were; others: names of everybody else; titles: of the work.
        def initialize(names, others:, titles:)
          whole = names.map { |name| Name.new(name) }
          firsts = whole.reject(&:single?).map { |name| Name.new(name.first) }
          @names = [*whole, *firsts].uniq { |name| name.text.downcase }.sort_by { |name| -name.text.size }
          @others = others
          @titles = titles
          @longer = longer(others + titles)
        end

        def runs = @names.map(&:run).uniq
        def singles = @names.select(&:single?).map(&:text)

        # [Meant] in order, none of them overlapping. title: whether the text is itself a title, which hides no name
        # in it.
        def meant(text, title: false)
          longer = title ? @longer.reject { |name| name.same?(text) } : @longer
          hidden = longer.flat_map { |name| name.stretches(text) }
          found = []
          @names.each do |name|
            name.stretches(text).each do |range|
              taken = found.any? { |each| overlap?(each.range, range) } || inside?(range, hidden)
              found << Meant.new(range, sure?(name), name.single?) unless taken
            end
          end
          found.sort_by { |each| each.range.begin }
        end

        private

        def overlap?(one, other) = one.begin < other.end && other.begin < one.end

        def inside?(range, others) = others.any? { |each| each.cover?(range) && each.size > range.size }
        def longer(texts) = texts.select { |text| part_of?(text) }.map { |text| Name.new(text) }
        def part_of?(text) = @names.any? { |name| name.in?(text) && !name.same?(text) }

        # Whether nobody else is called so, and nothing of the work.
        def sure?(name)
          @sure ||= {}
          @sure.fetch(name) do
            people = name.single? ? @others.flat_map { |other| [other, *other.split] } : @others
            @sure[name] = (people + @titles).none? { |other| name.same?(other) }
          end
        end
      end
    end
  end
end
