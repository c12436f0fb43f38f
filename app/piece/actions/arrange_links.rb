# frozen_string_literal: true

module App
  module Piece
    module Actions
      # One change to the running order by hand. Each answers the path that undoes it.
      class ArrangeLinks
        def initialize(piece, account)
          @piece = piece
          @account = account
        end

        def add(section)
          change("#{section.name} placed") do
            @piece.links.create!(studio_id: @piece.studio_id, section:, position: links.size + 1)
          end
        end

        def earlier(link) = swap(link, -1)
        def later(link) = swap(link, 1)
        def mirror(link) = change("#{link.section.name} other side") { link.update!(mirrored: !link.mirrored) }
        def remove(link) = change("#{link.section.name} taken out") { link.destroy! }

        private

        def links = @piece.links.reload.to_a

        def swap(link, by)
          change("#{link.section.name} moved") do
            order = links
            at = order.index(link)
            to = (at + by).clamp(0, order.size - 1)
            order.insert(to, order.delete_at(at)).each_with_index { |each, i| each.update!(position: i + 1) }
          end
        end

        def change(summary)
          @piece.alone(:editing) do
            before = @piece.revisions.maximum(:number)
            yield
            links.each_with_index { |link, i| link.update!(position: i + 1) }
            @piece.touch
            Shared::KeepRevision.new(@piece, @account).record(summary)
            before && "/pieces/#{@piece.id}/revisions/#{before}/restore"
          end
        end
      end
    end
  end
end
