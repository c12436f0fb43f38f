# frozen_string_literal: true

module App
  module Spacing
    module Pages
      # Who moves when, and where everybody stands: the lines of a link on one count axis, or the floor from above.
      class Show < Reading::PiecePage
        SHOWS = %w[floor lines].freeze
        attr_reader :errors, :show

        def initialize(show: nil, moment: nil, who: nil, seen: nil, errors: {}, typed: nil, **rest)
          super(**rest)
          @show = SHOWS.find { |each| each == show } || "floor"
          @asked = moment.to_s
          @who = who.to_s[/\A\d{1,18}\z/]&.to_i
          @seen = seen.to_s
          @errors = errors
          @typed = typed
          @at ||= "1" if order.links.any?
        end

        def screen = :spacing
        def title = "#{I18n.t('ways.spacing')} · #{piece.title}"
        def link = @link ||= picked_link || order.links.first
        def index = link.index
        def section = link.section
        def row = @row ||= piece.sections.find { |each| each.id == section.id }
        def edit? = Steps::Policy.new(member, row).edit?
        def groups = piece.groups.to_a
        def person = people[@who]

        def here(**more)
          shown = { at:, show:, moment: (moment_key if show == "floor"), who: @who }
          path("/spacing?#{Rack::Utils.build_query(shown.merge(more).compact)}")
        end

        # Lines
        def picture = Shared::LanesPicture.new(self)

        # The picture that is shown, as a file. name: lines or floor.
        def picture_path(name, ending)
          path("/spacing/#{name}.#{ending}?#{Rack::Utils.build_query(at: index, moment: moment_key)}")
        end

        def lanes = snapshot.lines.lanes(index)
        def findings = snapshot.lines.of(link)
        def finding_text(finding) = LineWording.new(self).text(finding)
        def own_groups = person ? snapshot.cast.fetch(person.id, []) : []
        def part(group) = row.parts.find { |each| each.group_id == group.id } || said_part(group)

        def lines_said? = section.parts_said?
        def own_steps? = section.own_groups.any?

        # Lines that are only said in the eights, as the form would keep them.
        def said_part(group)
          part = section.parts_said? && section.parts.find { |each| each.group == group.id } or return
          row.parts.klass.new(
            start_offset: part.offset, hold_before: part.hold_before, hold_after: part.hold_after,
            stretches: part.stretches.map { |from, to, doing| [from, to, doing.to_s] }
          )
        end

        def part_value(group, name)
          return @typed.dig("parts", group.id.to_s, name).to_s if @typed

          saved = part(group) or return ""
          case name
          when "in" then "1"
          when "offset" then saved.start_offset.to_s
          when "stretches" then StretchText.render(saved.stretches)
          when "mirrored" then saved.mirrored ? "1" : ""
          else saved.public_send(name).to_s
          end
        end

        # The floor
        def width = piece.setting("floor").fetch("width").to_f
        def depth = piece.setting("floor").fetch("depth").to_f

        def dancers
          @dancers ||=
            items.in_link(index)
              .select { |id| people[id] }
              .sort_by { |id| [group_of(id)&.number || 99, people[id].name] }
        end

        def group_of(person_id)
          (id = snapshot.cast.fetch(person_id, []).first) && groups.find { |group| group.id == id }
        end

        # [moment, count] shown: as asked, else as the link begins.
        def moment
          @moment ||= case @asked
                      when /\A(?:count-)?(\d{1,4})\z/ then [:count, Regexp.last_match[1].to_i.clamp(1, link.counts)]
                      when "exit" then [:exit, nil]
                      else [:entry, nil]
                      end
        end

        def floor_form = FloorForm.of(piece)
        def moment_key(moment = self.moment) = moment.first == :count ? "count-#{moment.last}" : moment.first.to_s

        def moment_name(moment)
          moment.first == :count ? I18n.t("floor.count", count: moment.last) : I18n.t("floor.#{moment.first}")
        end

        def moments
          ([[:entry, nil]] + stage.moments(index) + [moment, [:exit, nil]]).uniq.sort_by do |which, count|
            [%i[entry count exit].index(which), count.to_i]
          end
        end

        def seen_at = @seen_at ||= stage.at(index, *moment)
        def formation = seen_at.formation

        def version
          @version ||=
            piece.formations.find_by(link_id: link.link.id, moment: moment.first, count: moment.last)&.lock_version.to_i
        end

        # Where everybody comes from: the moment before in this link, else the end of the link before.
        def before
          @before ||= begin
            earlier =
              moments
                .take_while { |each| each != moment }
                .reverse
                .map { |each| stage.at(index, *each).formation }
                .find { |found| !found.empty? }
            earlier || (index > 1 && moment.first == :entry ? stage.leaving(index - 1) : Core::Floor::Formation.new)
          end
        end

        # Counts there are to get here.
        def counts
          return 0.0 if moment.first == :entry && index == 1
          return standings[index - 2].held.seam.counts.to_f if moment.first == :entry

          at_count(moment) -
            at_count(
              moments
                .take_while { |each| each != moment }
                .reverse
                .find { |each| !stage.at(index, *each).formation.empty? } || [:entry, nil]
            )
        end

        def ways
          @ways ||=
            Core::Floor::Ways.new(
              before,
              formation,
              counts:,
              bpm: work.track.map.bpm_at(link.start_beat),
              beats: section.beats_per_count,
              wheels:
            )
        end

        # Who of the link dances it in a wheelchair.
        def wheels = @wheels ||= Records::Mapping::Wheels.of(piece) & dancers

        def near? = @seen.include?("near")
        def hidden? = @seen.include?("hidden")
        def near_passes = near? ? ways.near_passes : []
        def hidden = hidden? ? formation.hidden : []
        def tight = formation.tight(wheels:)
        def off = formation.off(width, depth, wheels:)
        def floor = FloorPicture.new(self)
        def names(ids) = Shared::Lists.all(ids.filter_map { |id| people[id]&.first_name })

        # What the page's script needs: spots now and before, counts.
        def data
          {
            version:,
            counts: counts.round(2),
            width:,
            depth:,
            scale: FloorPicture::SCALE,
            before: before.spots.to_h { |id, spot| [id, [spot.x, spot.y]] },
            spots: formation.spots.map { |id, spot| { p: id, x: spot.x, y: spot.y, f: spot.facing, pin: spot.pinned } }
          }.to_json
        end

        private

        def at_count((which, count)) = { entry: 0, exit: link.counts }.fetch(which, count)
      end
    end
  end
end
