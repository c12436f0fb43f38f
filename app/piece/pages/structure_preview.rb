# frozen_string_literal: true

module App
  module Piece
    module Pages
      # What typed lines of structure mean: links with counts and times, totals, what is not understood.
      class StructurePreview
        Line = Struct.new(:index, :name, :echo, :length, :teacher, :from, :at, keyword_init: true)
        attr_reader :structure

        def self.of(studio, params)
          piece = studio.pieces.find_by(id: params["piece"].to_s[/\A\d+\z/])
          new(
            Reading::TypedStructure.read(studio, params["structure"], piece:),
            piece ? Records::Mapping::Works.load(piece) : typed(params)
          )
        end

        # A work with nothing but the music that is typed beside the lines.
        def self.typed(params)
          facts = TypedFacts.new(params)
          Core::Piece::Work.new(
            title: "",
            track: Core::Music::Track.new(tempo: [[1, facts.bpm&.clamp(20, 400) || 120]], length_seconds: facts.length)
          )
        end
        private_class_method :typed

        # saved: the work as it is, for its track and its groups' parts.
        def initialize(structure, saved)
          @structure = structure
          @saved = saved
          @work = sketch
          @order = @work.order
        end

        def lines
          @order.links.map do |link|
            sketch = structure.sections[link.section.id]
            Line.new(
              index: link.index,
              name: link.name,
              echo: link.echo,
              length: Core::Piece::LengthText.render(sketch.rows),
              teacher: [sketch.teacher, *sketch.others].compact.join(" & "),
              from: link.start_count,
              at: Formats::Times.length(link.start_seconds)
            )
          end
        end

        # [[text, line, ways], …] of lines that wait for an answer.
        def waiting
          lines = structure.waiting.map(&:first)
          structure.findings.select { |finding| lines.include?(finding.line) }
            .map { |finding| [Shared::Wording.structure(finding), finding.line, finding.ways.to_a] }
        end

        def findings
          waiting = structure.waiting.map(&:first)
          structure.findings.reject { |finding| waiting.include?(finding.line) }.sort_by(&:line)
            .map { |finding| [Shared::Wording.structure(finding), Reading::TypedStructure.blocking?(finding)] }
        end

        def music = Core::Piece::MusicFit.new(@work).findings.map { |finding| Shared::Wording.music(finding) }
        def empty? = structure.links.empty? && structure.findings.empty?

        def totals
          I18n.t(
            "structure.totals",
            links: count(structure.links, "link"),
            sections: count(structure.sections, "section"),
            counts: @order.total_counts,
            eights: Shared::Amount.of(@order.total_counts / 8.0),
            length: Formats::Times.length(@order.length_seconds),
            fresh: Shared::Amount.of(Core::Planning::Load.new(@work).shares.sum(&:eights))
          )
        end

        private

        def count(things, word) = "#{things.size} #{word}#{'s' unless things.size == 1}"

        def sketch
          sections = structure.sections.each_with_index.map do |sketch, i|
            Core::Piece::Section.new(
              id: i,
              name: sketch.name,
              parts: parts(sketch.name),
              known: saved(sketch.name)&.known || false,
              rows: rows(sketch)
            )
          end
          links =
            structure.links.each_with_index.map do |link, i|
              Core::Piece::Link.new(
                section: sections[link.section],
                id: i,
                mirrored: link.mirrored,
                changes: changes(link, sections)
              )
            end
          Core::Piece::Work.new(title: "", track: @saved.track, sections:, links:)
        end

        def saved(name) = @saved.sections.find { |section| section.name.casecmp?(name) }
        def parts(name) = saved(name)&.parts || []

        # Eights of the lengths that are typed, with what stands in them already.
        def rows(sketch)
          there = saved(sketch.name)&.rows.to_a
          sketch.rows.each_with_index.map { |counts, i| Core::Piece::Row.new(counts:, text: there[i]&.text.to_s) }
        end

        def changes(link, sections)
          Core::Piece::Changes.new(replace: link.changed.to_h { |n| [n, sections[link.section].rows[n - 1]] })
        end
      end
    end
  end
end
