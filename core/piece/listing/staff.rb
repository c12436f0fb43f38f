# frozen_string_literal: true

require "did_you_mean"

module Core
  module Piece
    module Listing
      # Who teaches, as far as a list says: known people by their names, first names and small slips, and new names
      # that stand where a teacher stands. Nobody is made here.
      class Staff
        # sure: whether a sentence says that they teach, and not only the place where the name stands.
        Person = Struct.new(:name, :sure, keyword_init: true)
        SEVERAL = /[&+]|\bwith\b|\band\b/
        private_constant :SEVERAL

        attr_reader :new_names

        # known: names of those who teach in the studio.
        def initialize(known)
          @known = known.to_h { |name| [fold(name), name] }
          @new_names = {}
        end

        # Learns from all clauses of a list who is meant as a teacher: whoever is said to be, names with a capital
        # letter where a teacher stands, and small ones where the list writes its teachers so. told: names that are told
        # apart from all clauses.
        def learn(clauses, told: [])
          placed = clauses.flat_map(&:placed)
          small = placed.filter_map { |text, shape| text if shape == :small }
          capital = placed.reject { |_, shape| shape == :small }
          meet_all(told + clauses.flat_map(&:said) + capital.flat_map { |text, _| Names.split(text) } + heads(clauses))
          learn_small(small, clauses) if capital.none? { |_, shape| shape == :capital }
        end

        # The full name of somebody known, or as the list spells it; nil for who is nobody yet.
        def find(said)
          key = fold(said)
          @known[key] || by_first_name(said) || slip(said) || @new_names[key]
        end

        # Whether all names of a text are known by now.
        def all?(text)
          names = Names.split(text)
          names.any? && names.all? { |name| find(name) }
        end

        # A pair that goes by one name ("Jo & Mel"), of which only one is said.
        def half_of(said)
          @known.values.find do |name|
            name.match?(SEVERAL) &&
              name.split(/\s*(?:&|\+|\band\b|\bwith\b)\s*/).any? { |one| fold(one) == fold(said) }
          end
        end

        def known?(said) = @known.key?(fold(said)) || !by_first_name(said).nil? || !slip(said).nil?
        def exactly(said) = @known[fold(said)]

        private

        def meet_all(names) = names.each { |name| meet(name) }

        def meet(name)
          return if name.length > StructureReader::MAX_PERSON || find(name)

          better = @new_names.keys.find { |key| key.split.first == fold(name) }
          @new_names[fold(name)] = name unless better
          @new_names[fold(name)] = @new_names[better] if better
        end

        # What stands first in several lines with another part behind it each time is who teaches, not what is danced.
        def heads(clauses)
          pairs = clauses.select { |clause| clause.residue.size > 1 }.flat_map do |clause|
            first, what = clause.residue.map(&:first)
            next [] unless Names.shape(first) == :capital && Names.shape(what) != :capital

            Names.split(first).map { |name| [name, fold(what)] }.reject { |name, _| name.length < 2 }
          end
          pairs.group_by { |name, _| fold(name) }.values.select { |all| all.map(&:last).uniq.size > 1 }
            .map { |all| all.first.first }
        end

        def learn_small(texts, clauses)
          names = texts.map { |text| Names.split(text) }
          counts = names.flatten.map { |name| fold(name) }.tally
          lengths = clauses.count(&:length)
          every = lengths.positive? && texts.size * 2 >= lengths
          names.flatten.each { |name| meet(name) if every || counts[fold(name)] > 1 }
        end

        def by_first_name(said)
          found = @known.values.select { |full| fold(full.split.first.to_s) == fold(said) && !full.match?(SEVERAL) }
          found.first if found.size == 1
        end

        # One letter apart from exactly one known person, as a whole or by the first name.
        def slip(said)
          return if said.length < 5

          near = @known.values.grep_v(SEVERAL).select do |full|
            [full, full.split.first].any? { |name| DidYouMean::Levenshtein.distance(fold(name), fold(said)) == 1 }
          end
          near.first if near.size == 1
        end

        def fold(name) = StructureReader.fold(name)
      end
    end
  end
end
