# frozen_string_literal: true

module App
  module Joins
    module Pages
      # One join face to face: the leaving and the entering eight, each state beside its counterpart, mends as controls.
      class Show < Index
        attr_reader :index

        # facts: the form of whose it is as it was sent, where something is wrong with it.
        def initialize(index:, errors: {}, facts: nil, **rest)
          super(**rest)
          @facts = facts
          @index = index
          @errors = errors
          @at ||= "#{index}j"
        end

        def found? = index.between?(1, standings.size)
        def standing = standings[index - 1]
        def held = standing.held
        def join = standing.join
        def title = "#{join.name} · #{piece.title}"
        def words = @words ||= wording(standing)

        # [[placed link, its side of the seam, what it does there], …]: the end of one, the start of the next.
        def faces
          seam = held.seam
          [[join.leaving, seam.leaving, "ends"], [join.entering, seam.entering, "starts"]]
        end

        def mend_path(finding, number) = path("/joins/#{index}/mend?state=#{finding.state}&n=#{number}")

        # Whether the two sides alone do not say it.
        def spell_out?(finding)
          finding.state == :repeat || (finding.state == :counts && finding.question?) || finding.facts[:asked]
        end

        # What an agreement would be about, for the form to say what was looked at.
        def seen = Core::Joins::Agreement.of(held.seam).then { |edges| "#{edges.leaving}-#{edges.entering}" }
        def facts = @facts ||= FactsForm.of(piece, join)
        def fact_conflicts = FactsForm.conflicts(facts, piece)
        def named_owner?(person) = facts.value("owner") == person.id.to_s
        def owner = people[standing.owner_id]
        def tick? = Piece::Policy.new(member, piece).tick?
        def history = @history ||= piece.agreements.where(join_key: join.key).order(id: :desc).limit(12).to_a
        def teachers = piece.studio.people.choreographers.order(:name)

        # What this join asks, the most useful first: [Reading::OpenQuestions::One].
        def questions
          asking = Core::Joins::Questions.new([held], settled: standing.agreed? ? [join.key] : []).all.map(&:key)
          Reading::OpenQuestions.new(piece, snapshot).waiting.select { |one| asking.include?(one.key) }
        end

        # How it stands for those who dance versions of its sections: [Core::Joins::Versions::Standing].
        def versions
          @versions ||= Core::Joins::Versions.new(work, vocabulary:, **Reading::VersionLines.of(piece)).of(join)
        end

        def version_line(each) = VersionWording.new(each, join, work, people).text

        def same_places = standings.select { |other| other.join.key == join.key && other.index != index }.map(&:index)

        # Where to take it from: one eight before the seam, with the music's start.
        def start
          placed = join.leaving
          row = [placed.link.danced.size, 1].max
          offset = placed.link.danced.first(row - 1).sum { |danced| danced.row.counts }
          beat = placed.start_beat + (offset * placed.section.beats_per_count)
          Core::Music::StartPoint.at(
            work.track.map,
            beat,
            count_in: work.count_in,
            name: I18n.t("joins.take_from", name: placed.name, eight: row),
            link: placed.index,
            row:,
            count: placed.start_count + offset
          )
        end

        # The eights face to face: [[label of the count, what], …], the last four counts and the first four.
        def edge(side)
          line = side.line or return []
          from = side.equal?(held.seam.leaving) ? [line.counts - 4, 0].max : 0
          (from...[from + 4, line.counts].min).map { |count| [called(line, count), moves_on(line, count)] }
        end

        # What is danced at an edge without a count yet.
        def loose(side) = side.line ? side.line.loose.map(&:text) : []

        # Whose section a mend types into, and whether this member may.
        def may_mend?(mend)
          placed = order.links[mend.link - 1]
          Steps::Policy.new(member, piece.sections.find { |section| section.id == placed.section.id }).edit?
        end

        # Every group's place, where the formations on both sides are known.
        def ways
          from = stage.leaving(index)
          to = stage.entering(index + 1)
          @ways ||=
            Core::Floor::Ways.new(
              from,
              to,
              counts: held.seam.counts,
              bpm: held.seam.bpm,
              beats: join.entering.section.beats_per_count
            )
        end

        private

        def called(line, count) = ((count + line.called - 1) % [line.counts, 8].max) + 1

        def moves_on(line, count)
          line.placed
            .select { |move| move.at.between?(count * 12, (count * 12) + 11) || (count.zero? && move.at.negative?) }
            .sort_by(&:at)
            .map(&:text)
            .join(", ")
        end
      end
    end
  end
end
