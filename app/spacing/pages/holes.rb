# frozen_string_literal: true

module App
  module Spacing
    module Pages
      # For whoever is out: link by link, the holes, who closes up, who could cover, and slots that have lost their
      # point.
      class Holes < Reading::PiecePage
        def initialize(out: [], **rest)
          super(**rest)
          @out = Array(out).grep(/\A\d{1,18}\z/).map(&:to_i)
        end

        def screen = :spacing
        def title = "#{I18n.t('holes.title')} · #{piece.title}"
        def out = @out.filter_map { |id| people[id] }
        def out?(person) = @out.include?(person.id)
        def query(**more) = Rack::Utils.build_nested_query({ "out" => @out.map(&:to_s), **more.transform_keys(&:to_s) })
        def places = @places ||= sheet.places
        def name(id) = people[id]&.name || "?"
        def group_name(id) = piece.groups.find { |group| group.id == id }&.name

        # [[group name, [person]], …] of the cast, with the teachers last.
        def choices
          by_group =
            snapshot.cast.keys
              .filter_map { |id| people[id] }
              .sort_by(&:name)
              .group_by { |person| snapshot.cast.fetch(person.id).first }
          named = piece.groups.map { |group| [group.name, by_group.fetch(group.id, [])] }
          [
            *named,
            [I18n.t("holes.others"), by_group.fetch(nil, [])],
            [I18n.t("holes.teachers"), teachers]
          ].reject do |_, list|
            list.empty?
          end
        end

        # Coming slots that have lost their point: [Slot].
        def pointless
          slots =
            Reading::StandingSlots.standing(piece.studio, upcoming)
              .includes(:slot_people, :rehearsal, :plan)
              .select { |slot| slot.work? && slot.plan.piece_id == piece.id }
          lost =
            sheet.pointless(
              slots.map do |slot|
                [
                  slot.id,
                  *%w[dancer teacher].map do |role|
                    slot.slot_people.select { |called| called.role == role }.map(&:person_id)
                  end
                ]
              end
            )
          slots.select { |slot| lost.include?(slot.id) }
        end

        # Who could cover a place, with what they know of it.
        def covers_text(place)
          return I18n.t("holes.no_cover") if place.covers.empty?

          place.covers.map { |id, known| "#{name(id)} (#{rung(known)})" }.join(", ")
        end

        def rung(rung) = Shared::Ring.word(rung)

        # "1.2 m to their right": where a closing move leads.
        def move_text(move)
          person, from, to = move
          I18n.t("holes.move", name: name(person), metres: Shared::Drawing.plain(from.distance(to)))
        end

        private

        def teachers = work.sections.filter_map { |section| people[section.choreographer] }.uniq.sort_by(&:name)
        def upcoming = piece.studio.rehearsals.standing.where(date: today..).limit(4).to_a

        def sheet
          @sheet ||=
            Core::Learning::HoleSheet.new(
              work,
              out: @out,
              items:,
              progress:,
              leaders: piece.groups.to_h { |group| [group.id, group.leader_id] }.compact,
              formations: order.links.to_h { |link| [link.index, stage.entering(link.index)] }
            )
        end
      end
    end
  end
end
