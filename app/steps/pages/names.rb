# frozen_string_literal: true

module App
  module Steps
    module Pages
      # A piece's list of movement names, and the studio's own words.
      class Names < Reading::PiecePage
        attr_reader :errors

        def initialize(typed: {}, errors: {}, **rest)
          super(**rest)
          @typed = typed
          @errors = errors
        end

        def screen = :steps
        def value(name) = @typed[name].to_s
        def own = piece.studio.own_steps.accepted.order(:name)
        def proposed = piece.studio.own_steps.proposed.order(:proposed_at)
        def may_remove?(word) = !piece.archived? && WordPolicy.new(member, word).offer_removal?

        # [[where, text], …] of the lines that a proposed word would change.
        def changed_by(word)
          Reading::WordChange.new(piece.studio, word).lines.map do |line|
            [I18n.t("names.line", piece: line.piece.title, section: line.section.name, eight: line.eight), line.text]
          end
        end

        def may_add? = %w[director choreographer].include?(member.role) && !piece.archived?
        def known = Core::Movement::Vocabulary::DEFAULT.steps.map(&:name).sort
        def several = names.uses.select(&:several?)
        def plain = names.uses.reject(&:several?)
        def unknown = names.unknown

        def who(sections)
          said = sections.map { |section| [section.name, taught_by(section)].compact.join(", ") }
          said.join(" · ")
        end

        def forks = forks_of_piece
        def link_name(index) = order.links[index - 1].name

        private

        def names
          @names ||= begin
            danced = Core::Piece::Danced.new(work, vocabulary:)
            Core::Movement::Names.new(work.sections.to_h { |section| [section, danced.lines(section)] }, vocabulary:)
          end
        end
      end
    end
  end
end
