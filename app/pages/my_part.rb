# frozen_string_literal: true

module App
  module Pages
    # A dancer's own page: when I am called, what I owe, my links.
    class MyPart
      Owed = Struct.new(:name, :ring, :word, keyword_init: true)
      attr_reader :person

      def initialize(person, now)
        @person = person
        @studio = person.studio
        @now = @studio.local(now)
      end

      def title = I18n.t("my_part.title", name: person.first_name)
      def today = @now.to_date
      def studio_name = @studio.name
      def pieces = @pieces ||= @studio.pieces.running.where(id: person.castings.select(:piece_id)).order(:show_date).map { |piece| MyPiece.new(piece, person, today) }

      # [[call, rehearsal], …] of the next rehearsals this person is called to.
      def calls
        @calls ||= ahead.filter_map do |rehearsal|
          call = CallSheet.new(rehearsal, @studio.memberships.first, @now).calls.find { |c| c.person.id == person.id }
          [call, rehearsal] if call
        end.first(4)
      end

      private

      def ahead
        ids = @studio.slot_people.where(person_id: person.id).pluck(:slot_id)
        called = @studio.slots.where(id: ids).pluck(:rehearsal_id).uniq
        @studio.rehearsals.standing.where(id: called, date: today..).includes(:rooms).limit(8).to_a
      end
    end
  end
end
