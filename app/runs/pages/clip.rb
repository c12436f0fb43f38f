# frozen_string_literal: true

module App
  module Runs
    module Pages
      # One clip, and what of the piece opens in it.
      class Clip < Reading::PiecePage
        include Wording

        Moment = Struct.new(:name, :words, :second, keyword_init: true)
        attr_reader :clip

        def initialize(clip:, second: nil, **rest)
          super(**rest)
          @clip = clip
          @second = Float(second.to_s, exception: false)
        end

        def screen = :runs
        def title = clip.run ? run_name(clip.run) : I18n.t("clips.of_section", **section_words)
        def book = @book ||= Book.new(piece, snapshot)
        def seen? = policy.seen?(clip)
        def policy = @policy ||= ClipPolicy.new(piece.studio)
        def lacking = Shared::Lists.all(policy.lacking(clip.clip_people.map(&:person_id)).map(&:name))
        def file = path("/clips/#{clip.id}/file")
        def second = @second&.then { |at| at.clamp(0, clip.seconds&.to_f || at) }
        def tick? = Piece::Policy.new(member, piece).tick?
        def laid? = clip.marks.any?
        def run_clip = @run_clip ||= RunClip.new(self, clip.run)

        # What opens at its moment: [[title, [Moment]], …] of what has any.
        def moments
          return [] unless clip.run && laid?

          found = { troubles:, notes:, links:, joins: }
          found.map { |key, all| [I18n.t("clips.moments.#{key}"), all.select(&:second)] }.reject { |_, all| all.empty? }
        end

        # Eights to tap a count of: those of the section of a reference clip, or all.
        def links = order.links.map { |placed| moment(placed.name, "", placed.start_count) }

        def link_choices = order.links.map { |placed| [placed.index, "#{placed.index} #{placed.name}"] }

        private

        def section_words = { name: clip.section.name, side: I18n.t("clips.sides.#{clip.side}") }
        def moment(name, words, count) = Moment.new(name:, words:, second: count && run_clip.second(count))

        def troubles
          rows = clip.run.troubles.standing.includes(:group, :trouble_people)
          rows.map { |row| trouble(row) }.sort_by { |each| each.second || 0 }
        end

        def trouble(row)
          count = book.count(row)
          moment(count ? book.place(count) : row.place, "#{trouble_kind(row.kind)}: #{whose(row)}", count)
        end

        def notes
          clip.run.notes.standing.map { |row| moment(row.text, "", book.mapping.note_count(row)) }
        end

        def joins
          snapshot.joins.map { |join| moment(join_name(join.index), "", join.entering.start_count) }
        end
      end
    end
  end
end
