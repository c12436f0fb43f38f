# frozen_string_literal: true

module App
  module Steps
    module Pages
      # An altered link beside its section: what is danced here instead.
      class Difference < Reading::PiecePage
        Differing = Struct.new(:number, :taught, :text, :counts, :drop, :added, keyword_init: true)
        attr_reader :link, :result

        def initialize(link:, typed: nil, result: nil, **rest)
          super(**rest)
          @link = link
          @typed = typed
          @result = result
        end

        def screen = :steps
        def title = "#{placed.name}, link #{placed.index} · #{piece.title}"
        def placed = @placed ||= order.links.find { |each| each.link.id == link.id }
        def section = placed.section
        def edit? = Policy.new(member, link.section).edit?
        def version = piece.lock_version
        def error = result && result.errors.values.first
        def first_added = typed("added", 0) || text_of(made.insert_after.fetch(0, []))
        def fork = forks_of_piece.find { |each| each.links.last == placed.index }

        def eights
          section.rows.each_with_index.map do |row, i|
            number = i + 1
            changed = made.replace[number]
            Differing.new(
              number:,
              taught: row,
              text: typed("text", number) || changed&.text.to_s,
              counts: typed("counts", number) || (changed || row).counts,
              drop: @typed ? typed("drop", number) == "1" : made.drop.include?(number),
              added: typed("added", number) || text_of(made.insert_after.fetch(number, []))
            )
          end
        end

        # Every eight as danced in this link: [[number, picture], …].
        def danced
          walk = dancing.walk(placed.link)
          dancing.link_lines(placed.link).each_with_index
            .map { |line, i| [i + 1, EightPicture.new(line, walk, i + 1, vocabulary:).svg] }
        end

        private

        def made = placed.link.changes
        def dancing = @dancing ||= Core::Piece::Danced.new(work, vocabulary:)
        def typed(name, number) = @typed&.dig("rows", number.to_s, name)
        def text_of(rows) = rows.map(&:text).join(" // ")
      end
    end
  end
end
