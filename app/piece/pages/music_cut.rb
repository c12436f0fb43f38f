# frozen_string_literal: true

module App
  module Piece
    module Pages
      # A new cut of the music, looked at before it is taken.
      class MusicCut < Music
        def initialize(track:, **rest)
          super(**rest)
          @track = track
        end

        def title = "#{I18n.t('music.new_cut')} · #{piece.title}"
        def cut = @cut ||= Core::Piece::NewCut.new(work, @track)
        # How many links move, in words.
        def moved_text = I18n.t("music.moved", count: cut.moved.size, all: order.links.size)

        # What becomes of a part of the music, in words.
        def part_text(part)
          return I18n.t("music.part_new", count: part.after) if part.before.nil?
          return I18n.t("music.part_gone") if part.after.nil?

          I18n.t("music.part_other", before: part.before, after: part.after)
        end

        def fields = [*MusicForm::FIELDS.map { |name| [name, value(name)] }, ["was", value("was")]]
        def told = cut.told.filter_map { |id| people[id]&.name }
        def stale = cut.stale_joins.map { |index| [index, order.links[index - 1].name, order.links[index].name] }
        def by(seconds) = "#{seconds.positive? ? '+' : '−'}#{Formats::Times.tenth(seconds.abs)}"
      end
    end
  end
end
