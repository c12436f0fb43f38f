# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Sections and links as they come together line by line.
      class Draft
        SHORT = { "ch" => "chorus", "v" => "verse", "br" => "bridge", "int" => "intro", "pre" => "prechorus" }.freeze
        ORDINAL = /\A(?:the\s+)?(?<nth>first|second|third|last|1st|2nd|3rd|other|final)\s+(?<name>.+)\z/i
        NTH = { "first" => %w[1 one], "1st" => %w[1 one], "second" => %w[2 two], "2nd" => %w[2 two],
                "third" => %w[3 three], "3rd" => %w[3 three] }.freeze
        private_constant :SHORT, :ORDINAL, :NTH

        attr_reader :sections, :links, :findings, :waiting, :remarks, :accounts, :facts
        attr_accessor :expected

        # lengths: {name => counts of eights} of sections that the piece has.
        def initialize(lengths)
          @lengths = lengths.transform_keys { |name| fold(name) }
          @sections, @links, @findings, @waiting, @remarks = Array.new(5) { [] }
          @accounts = {}
          @facts = {}
          @called = {}
        end

        def fold(name) = StructureReader.fold(name)

        # The position of the section that is meant by words, or nil. loose: so far as a repeat may shorten a name.
        def at(said, loose: false)
          key = fold(said).sub(/\A(?:the|a|an)\s+/, "").delete_suffix("!").strip
          exact(key) || ordinal(key) || (shortened(key) if loose)
        end

        # Its length as the piece has it, for a section that no line defined yet.
        def saved(name) = @lengths[fold(name)]
        def saved_name?(name) = @lengths.key?(fold(name))

        # A name of its own for a repeat ("v2 as v1").
        def call(name, section) = @called[fold(name)] = section

        # Whether that is a name of its own of some repeat.
        def called?(name) = @called.key?(fold(name))

        def define(**sketch)
          @sections << StructureReader::Sketch.new(others: [], strangers: [], notes: [], rows: [], **sketch)
          @sections.size - 1
        end

        def link(**link)
          made = StructureReader::SketchLink.new(
            mirrored: false, changed: [], altered: false, only: nil, called: "", teachers: nil, **link
          )
          @links << made
          account(link.fetch(:line)).links << made
        end

        def order(links, line)
          @links = links
          account(line).order = true
        end

        # What became of a line, to be filled in.
        def account(line)
          @accounts[line] ||= StructureReader::Account.new(line:, links: [], note: nil, order: false)
        end

        # A line that is no link.
        def remark(line, text)
          account(line).note = text
          @remarks << [line, text]
        end

        # Words of a line that are kept beside what it is.
        def aside(line, words, section)
          return if words.empty?

          account(line).note = [account(line).note, *words].compact.join("; ")
          @sections[section].notes.concat(words - @sections[section].notes)
        end

        # Notes a finding; answers nil, which is what a line has that cannot be taken.
        def note(line, kind, subject, hint = nil, ways: [])
          @findings << StructureReader::Finding.new(line:, kind:, subject:, hint:, ways:)
          nil
        end

        # Notes what is unclear; the line waits, and nothing is made of it.
        def wait(line, text, kind, subject, hint: nil, ways: [])
          @waiting << [line, text]
          note(line, kind, subject, hint, ways:)
        end

        # As it was before a block that answers no, or that leaves something waiting.
        def all_or_nothing
          before = [@sections.map(&:copy), @links.dup, @accounts.dup, @called.dup, @findings.dup, @waiting.dup]
          return true if yield && @waiting.size == before.last.size

          @sections, @links, @accounts, @called, @findings, @waiting = before
          false
        end

        private

        def exact(key)
          return if key.empty?

          @called[key] || @sections.index { |section| fold(section.name) == key } ||
            @sections.index { |section| fold(section.name).sub(/\A(?:the|a|an|section|part)\s+/, "") == key }
        end

        # "the second verse" is "verse 2" where there is one, else the verse.
        def ordinal(key)
          match = ORDINAL.match(key) or return
          numbered = NTH.fetch(match[:nth].downcase, []).filter_map do |number|
            exact("#{match[:name]} #{number}") || exact("#{match[:name][0]}#{number}")
          end
          numbered.first || exact(match[:name])
        end

        def shortened(key)
          long = SHORT[key]
          found = exact(long) if long
          return found if found
          return if key.length < 3

          near = @sections.each_index.select { |i| fold(@sections[i].name).match?(/\A#{Regexp.escape(key)}\b/) }
          near.first if near.size == 1
        end
      end
    end
  end
end
