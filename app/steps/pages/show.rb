# frozen_string_literal: true

module App
  module Steps
    module Pages
      # One section's eights: the typed line, its moves on their counts, the body under them.
      class Show < Reading::PiecePage
        attr_reader :result

        delegate :kind, :other_kinds, :field, :taught, to: :shown_version
        delegate :walk, :layers, :inline_versions, :hazards, :group_endings, to: :drawn

        def initialize(section: nil, typed: nil, result: nil, version: nil, **rest)
          super(**rest)
          @version = version
          @section_id = section.to_s[/\A\d+\z/]&.to_i
          @typed = typed
          @result = result
        end

        def screen = :steps
        def title = section ? "#{section.name}, steps · #{piece.title}" : super
        def sections = work.sections

        # What an address says that shows this section and version.
        def shown = { section: section.id, version: kind }.compact

        # Clips of it, to look at.
        def clips = Reading::ReferenceClips.new(piece.studio).of([section])

        def section
          @section ||= sections.find { |each| each.id == @section_id } || picked_link&.section || sections.first
        end

        def row_record = @row_record ||= piece.sections.find { |each| each.id == section.id }
        def edit? = section && Policy.new(member, row_record).edit?
        def error = result&.errors&.fetch(:rows, nil)
        def conflict? = result&.value == :conflict

        # The section as taught or in a version, as saved or as typed.
        def shown_version
          @shown_version ||= ShownVersion.new(@version, row: row_record, section:, typed: @typed, vocabulary:)
        end

        def version = shown_version.lock
        def version_kinds = shown_version.kinds
        def save_path = path(shown_version.save_tail)
        def version_groups = shown_version.groups

        # Those who dance this version here, and everybody else of the section: [[person, where], …].
        def version_dancers = version_people.select { |_, where| where }
        def version_others = version_people.reject { |_, where| where }

        # The section with what is typed in place of what is saved.
        def current = @current ||= shown_version.section
        def drawn = @drawn ||= DrawnEights.new(current, work, first: first_link, vocabulary:)
        def eights = drawn.all
        def blank = DrawnEights.blank
        def blank? = current.rows.all? { |row| row.text.empty? }
        def entry = Shared::Wording.body(walk.entry)

        # How it ends; nothing is said of an end that has no words.
        def ending
          open = !Core::Piece::Link.new(section: current).end_written?
          open ? [unwritten || I18n.t("written.an_edge")] : Shared::Wording.ending(walk.exit)
        end

        def findings
          writer = Core::Movement::FindingWriter.new(say: I18n.method(:t))
          walk.findings.map { |finding| [finding, writer.text(finding)] }
        end

        def collisions = @collisions ||= Reading::OpenCollisions.of(piece, [row_record.id])
        def corrections = @corrections ||= row_record.notes.corrections.to_a
        def tick? = Piece::Policy.new(member, piece).tick?

        def changed_people
          progress_people
            .select { |id| progress.cell(id, Core::Values::ItemKey.section(section.id).to_s).changed }
            .filter_map { |id| people[id]&.name }
        end

        # What joins ask of this section: [Reading::OpenQuestions::One].
        def questions
          Reading::OpenQuestions.new(piece, snapshot).waiting.select { |one| one.section.id == section.id }
        end

        def forks = forks_of_piece.select { |fork| fork.section == section.id }
        def first_link = order.links.find { |link| link.section.id == section.id }

        # "Drift is written as far as eight 3", or nil.
        def unwritten = section.known ? nil : Shared::Written.line(section, work)

        def links = order.links.select { |link| link.section.id == section.id }
        def change_text(link) = I18n.t(link.link.altered? ? "changes.what" : "changes.any")
        def link_name(index) = order.links[index - 1].then { |link| "#{link.name} (link #{link.index})" }

        private

        def version_people = shown_version.people(people.values_at(*progress_people).compact)
        def progress_people = items.in_link(first_link&.index || 1)
      end
    end
  end
end
