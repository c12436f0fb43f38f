# frozen_string_literal: true

module Core
  module Piece
    module Listing
      # Reads a list twice: once to see who teaches and what the sections are called, once to take it.
      class Reading
        def initialize(typed, teachers:, lengths:, bpm:)
          @lines = typed.each_with_index.map { |text, i| [i + 1, text] }.reject { |_, text| text.strip.empty? }
          @staff = Staff.new(teachers)
          @lengths = lengths
          @bpm = bpm
        end

        # StructureReader's Structure.
        def structure
          lines = @lines.first(StructureReader::MAX_LINES)
          first = Taking.new(lines, staff: @staff, lengths: @lengths)
          first.take
          @staff.learn(first.clauses, told: first.told)
          bare = first.clauses.filter_map { |clause| clause.length&.bare }
          later = first.draft.sections.map(&:name)
          taking = Taking.new(lines, staff: @staff, lengths: @lengths, bpm: @bpm, later:, bare:)
          taking.take
          cut(taking.draft)
          answer(taking)
        end

        private

        def cut(draft)
          over = @lines[StructureReader::MAX_LINES] or return
          draft.note(over.first, :too_many_lines, StructureReader::MAX_LINES)
        end

        def answer(taking)
          draft = taking.draft
          Structure.new(
            sections: draft.sections, links: draft.links, findings: draft.findings, waiting: draft.waiting,
            remarks: draft.remarks, accounts: draft.accounts, people: taking.people, facts: draft.facts,
            expected: draft.expected
          )
        end
      end
    end
  end
end
