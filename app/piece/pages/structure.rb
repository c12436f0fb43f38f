# frozen_string_literal: true

require "diff/lcs"

module App
  module Piece
    module Pages
      # The structure of a piece as lines. After a conflict: what is typed here beside what is saved there.
      class Structure < Reading::PiecePage
        attr_reader :result

        def initialize(typed: nil, result: nil, **rest)
          super(**rest)
          @typed = typed
          @result = result
        end

        def screen = :share_out

        # The lines as they are, with those that wait for an answer where they stood.
        def saved
          @saved ||= Reading::TypedStructure.text(piece, work, people.transform_values(&:name))
        end

        def text = @typed ? @typed["structure"].to_s : saved
        def conflict? = result&.value == :conflict
        def error = result&.errors.to_h[:structure]
        def version = piece.lock_version

        def preview
          read = Reading::TypedStructure.read(piece.studio, text, piece:)
          StructurePreview.new(read, work, text:, teach: @typed&.dig("teach"))
        end

        def revisions = piece.revisions.order(number: :desc).limit(12).includes(:account)
        def spine = nil

        # [[:same | :theirs | :yours, line], …]
        def difference
          Diff::LCS.sdiff(saved.lines.map(&:chomp), text.lines.map(&:chomp)).flat_map do |change|
            next [[:same, change.old_element]] if change.unchanged?

            [[:theirs, change.old_element], [:yours, change.new_element]].select(&:last)
          end
        end
      end
    end
  end
end
