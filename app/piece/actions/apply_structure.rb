# frozen_string_literal: true

module App
  module Piece
    module Actions
      # Makes a piece's sections and links what its lines say. Sections that are no longer named stay, unplaced;
      # links that stay keep their identity; nothing written on an eight is dropped.
      class ApplyStructure
        # teach: names of new people who teach, as they were tapped; nobody else is made.
        def initialize(piece, structure, teach: [])
          @piece = piece
          @studio = piece.studio
          @structure = structure
          @teach = teach.to_h { |name| [fold(name), name] }
          @known = piece.sections.index_by { |section| section.name.downcase }
          @letters = ("A".."Z").to_a + ("AA".."ZZ").to_a - piece.sections.map(&:letter)
        end

        def run
          sections = @structure.sections.map { |sketch| section(sketch) }
          old = @piece.links.to_a
          kept = @structure.links.each_with_index.map { |link, i| place(link, sections[link.section], i + 1, old) }
          @piece.links.where.not(id: kept.map(&:id)).delete_all
          between = Reading::TypedStructure.between(@structure)
          @piece.update!(settings: @piece.settings.merge(between))
          @piece.touch
        end

        private

        def fold(name) = Core::Piece::StructureReader.fold(name)

        def section(sketch)
          section = @known[sketch.name.downcase] || create(sketch)
          taught_by(section, sketch)
          section.update!(known: sketch.known, said_length: sketch.open.to_s, note: note(section, sketch))
          ResizeEights.new(section).resize(sketch.rows) unless sketch.rows.empty? && section.eights.any?
          section
        end

        # Remarks of its lines come to its note, once each.
        def note(section, sketch)
          more = sketch.notes.reject { |words| section.note.include?(words) }
          [section.note, *more].reject(&:empty?).join("\n")[0, 2000]
        end

        # Known people and those who were tapped teach it; other names stay with it as they were said.
        def taught_by(section, sketch)
          made, waiting = sketch.strangers.partition { |name| @teach.key?(fold(name)) }
          people = [sketch.teacher, *sketch.others, *made].compact.map { |name| teacher(name) }.uniq
          section.update!(said_teachers: waiting)
          return unless people.any?

          section.update!(choreographer: people.first)
          SetCoTeachers.new(section).to(people.drop(1).map(&:id))
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
              listed_by: @piece.id,
              tape: Shared::NextTape.next_free(@studio)
            )
          end

          found.update!(teaches: true, tape: found.tape || Shared::NextTape.next_free(@studio)) unless found.teaches
          found
        end

        # An old link of the same kind is taken over, so that what hangs on it stays.
        def place(sketch, section, position, old)
          same = old.select { |link| link.section_id == section.id }
          wanted = wanted(sketch)
          link = same.find { |l| l.mirrored == sketch.mirrored && touched(l) == wanted } || same.first
          old.delete(link)
          link ||= @piece.links.new(studio: @studio, section:)
          link.changes_made = changes(link, sketch, section) unless touched(link) == wanted
          link.update!(position:, mirrored: sketch.mirrored, called: sketch.called)
          link
        end

        def touched(link) = Records::Mapping::Works.changes(link.changes_made).touched

        # The eights that are danced otherwise, or not at all.
        def wanted(sketch)
          return sketch.changed unless sketch.only

          [*1..@structure.sections[sketch.section].rows.size] - [*sketch.only.first..sketch.only.last]
        end

        def changes(link, sketch, section)
          return { "drop" => wanted(sketch) } if sketch.only

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
