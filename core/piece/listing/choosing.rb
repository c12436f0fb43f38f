# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # What of a clause's words is its name, who teaches it, and what stays as a remark.
      module Choosing
        ALONE = /\s+alone\z/i
        VERB = /\A(?:vamp|hold|wait|loop|circle|repeat)\b/i
        private_constant :ALONE, :VERB

        private

        # Brackets hold a length, names, or a remark as a whole.
        def unpack
          @brackets.reject(&:empty?).each do |text|
            next if @part.nil? && (echo? || known_name) && take_part(text) != text

            fields = text.split(/\s*[,;]\s*/)
            found = fields.map { |field| [field, (whole_length(field) if @length.nil?), Names.shape(field)] }
            found.all? { |_, length, shape| length || shape == :capital } ? bracketed(found) : @remarks << plain(text)
          end
        end

        def bracketed(found)
          found.each do |field, length, shape|
            length ? @length ||= length : @placed << [plain(field), shape]
          end
        end

        def whole_length(field)
          return Length.new(said: field, bare: field.to_i) if field.match?(/\A\d{1,3}\z/)

          found = Length.find(field) or return
          found.first if found.drop(1).all? { |rest| rest.strip.empty? }
        end

        # The name, and what stands where a teacher stands.
        def choose
          teachers_first
          dancers_first
          first, *others = @residue
          @name = first ? first.first : verb
          with_changes if @name
          beside_the_name if @name && @said.empty? && others.none? { |text, _, _| Names.shape(text) }
          @alone = @said_alone || others.any? { |text, _, _| text.match?(ALONE) }
          others.each { |text, _, _| later(text.sub(ALONE, "")) }
        end

        # "vamp till she is there" is called by what is done.
        def verb = (@length.said[VERB] if @length && @length.rows.nil?)

        # "Jo: verse, 4 eights", where Jo is known to teach.
        def teachers_first
          return unless @residue.size > 1 || (@of && @residue.any?)

          first = @residue.first.first
          return unless everybody_taught?(first) || (Names.shape(first) == :capital && part_next?(first))

          @said.concat(Names.split(first))
          @residue.shift
        end

        # "Bel: coda": the second is what parts of dances are called; a letter, or what came before, is itself one.
        def part_next?(first)
          first.length > 1 && @known.call(first).nil? && Remark.part?(@residue[1].to_a.first.to_s)
        end

        # "Reds: run on", "everyone: unison": who dances it stands first.
        def dancers_first
          (first, _, lasts), (_, _, second_lasts) = @residue
          return unless @residue.size > 1 && !lasts && !second_lasts && !everybody_taught?(@residue[1].first)
          return unless first.split.all? { |word| Words.group?(word) }

          @remarks << @residue.shift.first
        end

        # "Intro Mel", "Mel intro"
        def beside_the_name
          words = @name.split
          return if words.size < 2 || @known.call(@name)

          (1...words.size).each do |at|
            before, after = [words.take(at), words.drop(at)].map { |part| part.join(" ") }
            return take_beside(before, after) if everybody_taught?(after)
          end
          before, after = [words.take(1), words.drop(1)].map { |part| part.join(" ") }
          take_beside(after, before) if everybody_taught?(before)
        end

        def take_beside(name, teachers)
          @said.concat(Names.split(teachers))
          @name = name.sub(Words::TRAIL, "")
          spend(name, @name)
        end

        def everybody_taught?(text)
          names = Names.split(text)
          names.any? && names.all? { |name| @taught.call(name) }
        end

        def later(text)
          shape = Names.shape(text)
          known = everybody_taught?(text)
          return some_names(text) unless known || shape

          @remarks << text if text.match?(/\b(?:me|myself|mine|us)\b/i)
          @placed << [text, known ? :known : shape]
        end

        # "Mel + kids", "Jo & Bel if she's free": the names teach, the words stay.
        def some_names(text)
          @remarks << text
          names = Names.split(text.sub(/\s+(?:if|when|unless)\s.*\z/i, "")).group_by do |name|
            Names.shape(name) == :capital
          end
          mixed = names[true] && names.fetch(false, []).all? { |name| name.split.all? { |word| Words.common?(word) } }
          mixed ? @placed << [names[true].join(" & "), :capital] : @loose << text
        end

        # "Jo does the intro", "that's Dre", "Dre's floor work"
        def teaching(text)
          names, left = Teaching.find(plain(text), named: @residue.any?, taught: @taught)
          return text unless names

          @said.concat(names)
          @said_alone ||= text.match?(ALONE)
          spend(text, left, *names)
          left
        end

        def take_away(text)
          match = text.match(/\A(?:but\s+)?not\s+(?<name>#{Names::ONE})\s*/o) or return text
          return text unless Names.shape(match[:name]) || @taught.call(match[:name])

          @away << match[:name]
          spend(match[0], match[:name])
          match.post_match
        end
      end
    end
  end
end
