# frozen_string_literal: true

module App
  module Files
    module Pages
      # A piece's file on its way in: what it is, what it would add, what of it is left out. Nothing is made yet.
      class TakePiece
        MOST_FAULTS = 30
        attr_reader :text, :content, :faults, :left_out, :error

        # text: of a file, or nil before one is chosen; error: why it was not taken in after all.
        def initialize(studio, text: nil, error: nil)
          @studio = studio
          @error = error
          @faults = []
          return if text.nil?

          @text = text.dup.force_encoding(Encoding::UTF_8).scrub("?")
          read
        end

        def title = I18n.t("files.take_piece")
        def screen = :home
        def looked_at? = !text.nil?
        def ok? = faults.empty? && !content.nil?
        def work = content.work
        def order = work.order
        def known_people = @known_people ||= @studio.people.present.pluck(:name).to_set(&:downcase)
        def same_title? = @studio.pieces.running.exists?(title: work.title)

        # [[what, how much of it], …] that the piece would have.
        def amounts
          counts = {
            sections: work.sections.size, links: work.links.size, eights: work.sections.sum { |each| each.rows.size },
            groups: work.groups.size, cast: content.cast.size, formations: content.formations.size,
            versions: content.versions.size, agreements: content.agreements.size
          }
          counts.reject { |_, count| count.zero? }.map { |what, count| I18n.t("files.amounts.#{what}", count:) }
        end

        # Names of the file's people: [those that are here already, those that would be added].
        def people
          names = content.people.map(&:name) + (work.sections.flat_map(&:teachers).uniq - content.people.map(&:id))
          names.uniq(&:downcase).partition { |name| known_people.include?(name.downcase) }
        end

        # [[number, link, what it is], …] of the running order.
        def links
          order.links.map do |link|
            [link.index, link.name, (I18n.t("echo.marks.#{link.echo}") unless link.echo == :first)]
          end
        end

        private

        def read
          @content, @left_out = Formats::PieceFile.parse(text)
        rescue Formats::FaultyFile => e
          @faults = e.faults
        rescue Core::ValueError => e
          @faults = [e.message]
        end
      end
    end
  end
end
