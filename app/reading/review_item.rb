# frozen_string_literal: true

module App
  module Reading
    # What a clip of a link would be reviewed for: the learning item of its section, where a reviewed clip is what
    # counts there as learned.
    module ReviewItem
      module_function

      # Core::Learning::Item, or nil.
      def of(link, person)
        snapshot = PieceSnapshots.of(link.piece)
        key = Core::Values::ItemKey.section(link.section_id).to_s
        item = snapshot.items.all.find { |each| each.key == key }
        item if item && snapshot.items.dancers(item).include?(person.id) && snapshot.progress.way(key).name == "clip"
      end
    end
  end
end
