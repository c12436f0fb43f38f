# frozen_string_literal: true

module App
  module Piece
    module Pages
      # A work as lines of structure sketch it, with what is written of it already.
      class SketchedWork
        def initialize(structure, saved)
          @structure = structure
          @saved = saved
        end

        # Core::Piece::Work.
        def work
          sections = @structure.sections.each_with_index.map { |sketch, i| section(sketch, i) }
          links = @structure.links.each_with_index.map do |link, i|
            Core::Piece::Link.new(
              section: sections[link.section], id: i, mirrored: link.mirrored, called: link.called,
              changes: changes(link, sections)
            )
          end
          Core::Piece::Work.new(title: "", track: @saved.track, sections:, links:)
        end

        private

        def section(sketch, id)
          saved = @saved.sections.find { |section| section.name.casecmp?(sketch.name) }
          Core::Piece::Section.new(
            id:, name: sketch.name, parts: saved&.parts || [], known: saved&.known || false,
            rows: rows(sketch, saved)
          )
        end

        # Eights of the lengths that are typed, with what stands in them already.
        def rows(sketch, saved)
          there = saved&.rows.to_a
          sketch.rows.each_with_index.map { |counts, i| Core::Piece::Row.new(counts:, text: there[i]&.text.to_s) }
        end

        def changes(link, sections)
          rows = sections[link.section].rows
          return Core::Piece::Changes.new(replace: link.changed.to_h { |n| [n, rows[n - 1]] }) unless link.only

          Core::Piece::Changes.new(drop: [*1..rows.size] - [*link.only.first..link.only.last])
        end
      end
    end
  end
end
