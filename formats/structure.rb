# frozen_string_literal: true

require "json"

module Formats
  # structure-1: what lines of a list say, each line as it was typed.
  module Structure
    module_function

    # text: a list, a line for each link => JSON.
    def render(text, say:)
      structure = Core::Piece::StructureReader.new(text).structure
      JSON.pretty_generate(Writer.new(structure, text, say).to_h)
    end

    # One structure as plain values.
    class Writer
      def initialize(structure, text, say)
        @structure = structure
        @lines = text.to_s.scrub("?").lines.size
        @say = say
        @seen = []
      end

      def to_h
        {
          "format" => "structure-1",
          "lines" => Array.new(@lines) { |i| line(i + 1) },
          "people" => @structure.people.map { |person| { "name" => person.name, "sure" => person.sure } },
          "total_counts" => @structure.total_counts,
          "title" => @structure.facts[:title]
        }
      end

      private

      def line(number)
        account = @structure.accounts[number]
        {
          "line" => number,
          "links" => (account ? account.links : []).map { |link| link(link) },
          "note" => account&.note,
          "questions" => questions(number)
        }
      end

      def link(link)
        sketch = @structure.sections[link.section]
        first = !@seen.include?(link.section)
        @seen << link.section
        {
          "section" => link.called.empty? ? sketch.name : link.called,
          "counts" => @structure.counts(link),
          "teachers" => link.teachers.to_a,
          "repeat_of" => (sketch.name unless first),
          "mirrored" => link.mirrored,
          "changed" => link.altered || link.changed.any?
        }
      end

      def questions(number)
        @structure.findings.select { |finding| finding.line == number && finding.ways&.any? }.map do |finding|
          { "about" => about(finding), "ways" => finding.ways.map { |way| way.label || way.kind.to_s } }
        end
      end

      def about(finding)
        key = finding.kind == :unknown_repeat && finding.hint ? "unknown_repeat_hint" : finding.kind
        @say.call("findings.structure.#{key}", line: finding.line, subject: finding.subject, hint: finding.hint)
      end
    end
    private_constant :Writer
  end
end
