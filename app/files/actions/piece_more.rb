# frozen_string_literal: true

module App
  module Files
    module Actions
      # Writes what hangs on a piece beside its steps: where everybody stands, versions, what was agreed of its joins.
      class PieceMore
        # An edge that no edge is: of an agreement whose join changed since, where its file was made.
        OTHER = "0:changed"

        def initialize(piece, content, people, groups)
          @piece = piece
          @studio = piece.studio
          @content = content
          @people = people
          @groups = groups
          @sections = content.work.sections.map(&:id).zip(piece.sections.to_a).to_h
          @links = content.work.links.map(&:id).zip(piece.links.to_a).to_h
        end

        def write
          @content.formations.each { |each| formation(each) }
          @content.versions.each { |each| version(each) }
          @content.version_people.each { |each| version_of(each) }
          @content.understudies.each { |each| understudy(each) }
          joins if @content.agreements.any? || @content.join_facts.any?
        end

        private

        def formation(each)
          row = @piece.formations.create!(studio: @studio, link: @links.fetch(each.link), moment: each.moment,
                                          count: each.count)
          each.spots.each do |spot|
            row.spots.create!(studio: @studio, person: @people.fetch(spot.person), x: spot.x, y: spot.y,
                              facing: spot.facing || 1, pinned: spot.pinned)
          end
        end

        def version(each)
          Records::Version.create!(studio: @studio, section: @sections.fetch(each.section), kind: each.kind,
                                   eights: each.eights, note: each.note.to_s)
        end

        def version_of(each)
          @piece.version_people.create!(
            studio: @studio, kind: each.kind, section: @sections[each.section], person: @people[each.person],
            group: @groups[each.group]
          )
        end

        def understudy(each)
          @piece.understudies.create!(studio: @studio, person: @people.fetch(each.person),
                                      covered: @people.fetch(each.covers))
        end

        # An agreement is of the edges as they are in the file; where a side had changed since, it has here, too.
        def joins
          found = Reading::PieceSnapshots::Snapshot.new(@piece).review.joins
          @content.agreements.each { |each| agreement(each, found[each.join - 1]) }
          @content.join_facts.each do |each|
            @piece.join_facts.create!(studio: @studio, join_key: found[each.join - 1].join.key,
                                      owner: @people[each.owner], note: each.note)
          end
        end

        def agreement(each, held)
          edges = Core::Joins::Agreement.of(held.seam)
          @piece.agreements.create!(
            studio: @studio, join_key: held.join.key, kind: "agreed", words: each.words, by_name: each.by,
            day: each.day, created_at: Shared::Clock.now,
            **Formats::PieceFile::SIDES.to_h { |side| [:"#{side}_digest", digest(each, edges, side)] }
          )
        end

        def digest(each, edges, side) = each.changed.include?(side) ? OTHER : edges.public_send(side)
      end
    end
  end
end
