# frozen_string_literal: true

module App
  module Piece
    module Pages
      # Proposals for who teaches what: even minutes, fewest handovers, and one whose cuts were moved by hand.
      class Sharing < Reading::PiecePage
        Shown = Struct.new(:key, :name, :proposal, :blocks, keyword_init: true)
        Block = Struct.new(:names, :sections, :teacher, :minutes, :from, :width, :cut, keyword_init: true)
        WIDTH = 820

        # asked: teachers[], sections, cuts and by (of a cut moved by hand: phrase indexes and teachers).
        def initialize(asked: {}, **rest)
          super(**rest)
          @asked = asked
        end

        def screen = :share_out
        def form = @form ||= SharingForm.of(piece)
        def spine = nil
        def choreographers = @choreographers ||= piece.studio.people.choreographers.to_a
        def teachers = @teachers ||= chosen.presence || taught.presence || choreographers
        def most = work.sections.count { |section| placed.include?(section.id) }

        def wanted
          if @asked["sections"].to_s.match?(/\A\d{1,2}\z/)
            @asked["sections"].to_i.clamp(1, [most, 1].max)
          else
            [most, teachers.size + 2].min
          end
        end

        def possible? = most.positive? && teachers.any?
        def phrases = sharing.phrases

        def shown
          @shown ||= [
            show("even", sharing.even),
            show("few", sharing.few_handovers),
            (show("moved", moved) if moved)
          ].compact
        end

        # Where a proposal's cuts lie, as the address of the same proposal with one moved.
        def query(shown)
          {
            "cuts" => shown.proposal.blocks.map(&:first).join("-"),
            "by" => shown.proposal.blocks.map { |block| block.last.id }.join("-")
          }
        end

        # What was asked for, as an address keeps it.
        def asked_query
          Rack::Utils.build_nested_query(
            "teachers" => teachers.map { |person| person.id.to_s },
            "sections" => wanted.to_s
          )
        end

        def edges = @edges ||= [0, *phrases.each_index.map { |i| x(i + 1) }]

        private

        def placed = @placed ||= order.links.map { |link| link.section.id }.uniq
        def chosen = choreographers.select { |person| Array(@asked["teachers"]).include?(person.id.to_s) }

        def taught
          choreographers.select { |person| work.sections.any? { |section| section.choreographer == person.id } }
        end

        def minutes
          @minutes ||=
            work.sections.to_h { |section| [section.id, [Core::Planning::Estimate.new.learn(section).minutes, 5].max] }
        end

        def sharing
          @sharing ||= begin
            order_of_phrases =
              order.links.map do |link|
                Core::Piece::Sharing::Phrase.new(link.section.id, minutes[link.section.id], link.section.counts)
              end
            Core::Piece::Sharing.new(order_of_phrases, teachers:, sections: [wanted, teachers.size].max.clamp(1, most))
          end
        end

        # The cut somebody moved by hand, if its numbers make sense.
        def moved
          cuts = numbers("cuts")
          by = numbers("by").map { |id| choreographers.find { |person| person.id == id } }
          unless cuts.first == 0 && cuts == cuts.uniq.sort && cuts.last < phrases.size && by.size == cuts.size &&
              by.all?
            return
          end

          @moved ||=
            sharing.measure(cuts.each_with_index.map { |from, i| [from, (cuts[i + 1] || phrases.size) - 1, by[i]] })
        end

        def numbers(name)
          @asked[name].to_s.match?(/\A\d{1,9}(?:-\d{1,9}){0,99}\z/) ? @asked[name].split("-").map(&:to_i) : []
        end

        def show(key, proposal)
          Shown.new(
            key:,
            name: I18n.t("sharing.ways.#{key}"),
            proposal:,
            blocks: proposal.blocks.each_with_index.map { |block, i| block(block, i) }
          )
        end

        def block((from, to, teacher), index)
          ids = phrases[from..to].map(&:name)
          Block.new(
            names: ids.map { |id| work.sections.find { |section| section.id == id }.name },
            sections: ids,
            teacher:,
            minutes: phrases[from..to].sum(&:minutes),
            from: x(from),
            width: x(to + 1) - x(from),
            cut: index
          )
        end

        def x(index) = (phrases.first(index).sum(&:counts) * WIDTH / [phrases.sum(&:counts), 1].max.to_f).round(1)
      end
    end
  end
end
