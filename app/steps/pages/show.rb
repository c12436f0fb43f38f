# frozen_string_literal: true

module App
  module Steps
    module Pages
      # One section's eights: the typed line, its moves on their counts, the body under them.
      class Show < Shared::PiecePage
        # groups: what groups dance of their own, each an Eight with a name; said: what else it says of groups.
        Eight = Struct.new(
          :number, :row, :line, :picture, :start, :at, :faults, :groups, :name, :said, keyword_init: true
        ) do
          # What nobody knows of it, as typed: moves and other words.
          def kept = line.kept
        end
        attr_reader :result, :kind

        def initialize(section: nil, typed: nil, result: nil, version: nil, **rest)
          super(**rest)
          @kind = Records::Version::KINDS.find { |kind| kind == version }
          @section_id = section.to_s[/\A\d+\z/]&.to_i
          @typed = typed
          @result = result
        end

        def screen = :steps
        def title = section ? "#{section.name}, steps · #{piece.title}" : super
        def sections = work.sections

        # What an address says that shows this section and version.
        def shown = { section: section.id, version: kind }.compact

        def section
          @section ||= sections.find { |each| each.id == @section_id } || picked_link&.section || sections.first
        end

        def row_record = @row_record ||= piece.sections.find { |each| each.id == section.id }
        def edit? = section && Policy.new(member, row_record).edit?
        def error = result&.errors&.fetch(:rows, nil)
        def conflict? = result&.value == :conflict
        def version = kind ? version_record&.lock_version.to_i : row_record.lock_version
        def save_path = path("/sections/#{section.id}#{kind ? "/versions/#{kind}" : '/steps'}")
        def version_record = @version_record ||= row_record.versions.find_by(kind:)
        def version_kinds = @version_kinds ||= row_record.versions.order(:id).pluck(:kind)
        def other_kinds = Records::Version::KINDS - version_kinds - [kind]
        def layers = @layers ||= danced.lines(current).flat_map(&:moves).map(&:layer).uniq.sort

        def inline_versions
          eights.flat_map { |eight| eight.line.versions.map { |_, text, at, length| [eight.number, text, at, length] } }
        end

        # Those who dance this version here, and everybody else of the section: [[person, where], …].
        def version_dancers = version_people.select { |_, where| where }
        def version_others = version_people.reject { |_, where| where }

        # Groups of the piece with where they dance this version: [[group, nil, "section" or "piece"], …].
        def version_groups
          given = piece.version_people.where(kind:, section_id: [nil, section.id]).where.not(group_id: nil)
            .to_h { |row| [row.group_id, row.section_id ? "section" : "piece"] }
          piece.groups.map { |group| [group, given[group.id]] }
        end

        # Dancers of this section with where they dance this version: nil, "section" or "piece".
        def version_people
          given =
            piece.version_people.where(kind:, section_id: [nil, section.id]).where.not(person_id: nil)
              .to_h { |row| [row.person_id, row.section_id ? "section" : "piece"] }
          progress_people.filter_map { |id| people[id] && [people[id], given[id]] }.sort_by { |person, _| person.name }
        end

        # The section with what is typed in place of what is saved.
        def current
          @current ||= if kind then version_typed.of(section)
                       else
                         @typed ? section.with(rows: TypedEights.new(@typed, vocabulary:).rows.map(&:core)) : section
                       end
        end

        # The text in an eight's field: of a version only what differs.
        def field(eight) = kind ? version_typed.eights[eight.number].to_s : eight.row.text

        # What a version's empty field stands for.
        def taught(eight) = kind ? section.rows[eight.number - 1].text : ""

        def eights
          @eights ||= current.rows.each_with_index.map { |row, i| eight(row, i) }
        end

        def walk = @walk ||= danced.section_walk(current)

        def findings
          writer = Core::Movement::FindingWriter.new(say: I18n.method(:t))
          walk.findings.map { |finding| [finding, writer.text(finding)] }
        end

        # How groups with steps of their own end: [[name, [text]], …].
        def group_endings
          group_walks.map { |group, (_, walk)| [group_name(group), Shared::Wording.ending(walk.exit)] }
        end

        def hazards = walk_steps.flat_map(&:hazards).uniq
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
        def entry = Shared::Wording.body(walk.entry)

        # How it ends; nothing is said of an end that has no words.
        def ending
          open = !Core::Piece::Link.new(section: current).end_written?
          open ? [unwritten || I18n.t("written.an_edge")] : Shared::Wording.ending(walk.exit)
        end

        def blank? = current.rows.all? { |row| row.text.empty? }

        # An eight to be filled in, for the screen to copy.
        def blank
          row = Core::Piece::Row.new(counts: 8)
          line = Core::Movement::Line.new(counts: 8)
          Eight.new(
            number: 0,
            row:,
            line:,
            picture: EightPicture.new(line, Core::Movement::Walk.new([line]), 1).svg,
            faults: [],
            groups: []
          )
        end

        private

        # {group id => [its lines, their walk]} of those with steps of their own.
        def group_walks
          @group_walks ||= current.own_groups.to_h do |group|
            own = current.of_group(group)
            [group, [danced.lines(own), danced.section_walk(own)]]
          end
        end

        def group_name(group) = current.cast_groups.to_h[group]

        def own_eights(row, index)
          group_walks.filter_map do |group, (lines, walk)|
            next unless current.own?(group, row)

            line = lines[index]
            Eight.new(
              number: index + 1, row:, line:, name: group_name(group), groups: [],
              picture: EightPicture.new(line, walk, index + 1, vocabulary:).svg,
              faults: line.faults.map { |fault| Shared::Wording.line_fault(fault) }
            )
          end
        end

        # What an eight says of groups beside their steps, and what of it is open.
        def group_words(row, number)
          said = Core::Piece::Section.said(row, current.cast_groups)
          texts = said.any? ? said.texts.first(said.texts.size - said.own.size) : []
          return [] if texts.empty? && said.own.empty?

          open = current.asked.select { |asked| asked.row == number }
          [*open.map { |asked| I18n.t("steps.groups.#{asked.kind}", said: asked.said) },
           *(I18n.t("steps.groups.by_hand", said: texts.join(", ")) if texts.any? && lines_by_hand?),
           *(I18n.t("steps.groups.said", said: texts.join(", ")) if texts.any? && current.parts_said?)]
        end

        def lines_by_hand? = current.parts.any? && !current.parts_said?

        # The version on show: as typed, else as saved.
        def version_typed
          @version_typed ||= begin
            given =
              if @typed
                (@typed["rows"] || {}).transform_values { |row| row["text"].to_s.scrub("?").strip }
              else
                version_record&.eights
              end
            Core::Piece::Version.new(kind:, eights: (given || {}).transform_keys(&:to_i))
          end
        end

        def danced
          @danced ||=
            Core::Piece::Danced.new(
              work.with(sections: sections.map { |each| each.id == section.id ? current : each }, links: []),
              vocabulary:
            )
        end

        def progress_people = items.in_link(first_link&.index || 1)

        def walk_steps
          danced.lines(current).flat_map(&:moves).filter_map { |move| move.step && vocabulary.find(move.step) }
        end

        def eight(row, index)
          line = danced.lines(current)[index]
          offset = current.rows.first(index).sum(&:counts)
          Eight.new(
            number: index + 1,
            row:,
            line:,
            start: start(offset),
            at: time(offset),
            picture: EightPicture.new(line, walk, index + 1, vocabulary:).svg,
            faults: line.faults.map { |fault| Shared::Wording.line_fault(fault) },
            groups: own_eights(row, index),
            said: group_words(row, index + 1)
          )
        end

        def start(offset) = first_link && (first_link.start_count + offset)

        def time(offset)
          first_link &&
            Formats::Times.tenth(work.track.map.seconds_at(first_link.start_beat + (offset * section.beats_per_count)))
        end
      end
    end
  end
end
