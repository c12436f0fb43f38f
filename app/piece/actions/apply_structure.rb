# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Makes a piece's sections and links what its lines say. Sections that are no longer named stay, unplaced;
      # links that stay keep their identity; nothing written on an eight is dropped.
      class ApplyStructure
        def initialize(piece, structure)
          @piece = piece
          @studio = piece.studio
          @structure = structure
          @known = piece.sections.index_by { |section| section.name.downcase }
          @letters = ("A".."Z").to_a + ("AA".."ZZ").to_a - piece.sections.map(&:letter)
        end

        def run
          sections = @structure.sections.map { |sketch| section(sketch) }
          old = @piece.links.to_a
          kept = @structure.links.each_with_index.map { |link, i| place(link, sections[link.section], i + 1, old) }
          @piece.links.where.not(id: kept.map(&:id)).delete_all
          @piece.touch
        end

        private

        def section(sketch)
          section = @known[sketch.name.downcase] || create(sketch)
          taught_by(section, sketch) if sketch.teacher
          section.update!(known: sketch.known)
          ResizeEights.new(section).resize(sketch.rows)
          section
        end

        def taught_by(section, sketch)
          section.update!(choreographer: teacher(sketch.teacher))
          SetCoTeachers.new(section).to(sketch.others.to_a.map { |name| teacher(name).id })
        end

        def create(sketch)
          @piece.sections.create!(
            studio: @studio,
            name: sketch.name,
            letter: @letters.shift,
            position: (@piece.sections.maximum(:position) || 0) + 1
          )
        end

        def teacher(name)
          found = @studio.people.where("lower(name) = ?", name.downcase).first
          unless found
            return @studio.people.create!(
              name:,
              dances: false,
              teaches: true,
              adult: true,
              tape: Shared::NextTape.next_free(@studio)
            )
          end

          found.update!(teaches: true, tape: found.tape || Shared::NextTape.next_free(@studio)) unless found.teaches
          found
        end

        # An old link of the same kind is taken over, so that what hangs on it stays.
        def place(sketch, section, position, old)
          same = old.select { |link| link.section_id == section.id }
          link = same.find { |l| l.mirrored == sketch.mirrored && touched(l) == sketch.changed } || same.first
          old.delete(link)
          link ||= @piece.links.new(studio: @studio, section:)
          link.changes_made = changes(link, sketch, section) unless touched(link) == sketch.changed
          link.update!(position:, mirrored: sketch.mirrored)
          link
        end

        def touched(link) = Records::Mapping::Works.changes(link.changes_made).touched

        def changes(link, sketch, section)
          had = link.changes_made["replace"] || {}
          counts = section.eights.reload.to_h { |eight| [eight.position, eight.counts] }
          replace =
            sketch.changed.to_h { |n| [n.to_s, had[n.to_s] || { "counts" => counts.fetch(n, 8), "text" => "" }] }
          replace.empty? ? {} : { "replace" => replace }
        end
      end
    end
  end
end
