# frozen_string_literal: true

module App
  module Learning
    # Who may see a clip that was sent to be reviewed: whoever signs its section off.
    class ReviewPolicy
      # The item an upload is reviewed for, or nil.
      def self.item(upload)
        key = Core::Values::ItemKey.section(upload.section_id).to_s
        Reading::PieceSnapshots.of(upload.piece).items.all.find { |each| each.key == key }
      end

      def initialize(member, upload, today)
        @member = member
        @upload = upload
        @today = today
      end

      def see?
        item = ReviewPolicy.item(@upload)
        order = Reading::PieceSnapshots.of(@upload.piece).work.order
        item && SignOffPolicy.new(@member, @upload.piece, order, @today).item?(item)
      end
    end
  end
end
