# frozen_string_literal: true

module Core
  module Running
    # A round of notes: everyone's first, then individuals', each in piece order; the minutes to give them; and what was
    # given so often that words do not help any more.
    class NotesRound
      # id: of the sender's own; count: of the piece it is about, nil for the whole of it; person: whom alone it is for,
      # nil for everyone or a group; text; place: [link, row], nil where it has none; given: how often it was given;
      # open: whether it is still to be given in this round.
      Note = Struct.new(:id, :count, :person, :text, :place, :given, :open, keyword_init: true)

      # Somebody speaks about two and a half words a second (150 a minute).
      WORDS_A_SECOND = 2.5
      # What it takes beside the words until everyone has found the place, or one person has.
      EVERYONE = 20
      PERSON = 12
      # Given so often it becomes a slot for cleaning.
      CLEANING = 3

      # notes: [Note]; name: ->(person) { words to sort individuals by }.
      def initialize(notes, name: :to_s.to_proc)
        @notes = notes
        @name = name
      end

      # [Note], in the order in which they are given.
      def order
        @order ||= @notes.sort_by.with_index do |note, i|
          [note.person ? 1 : 0, note.count || 0, note.person ? @name.call(note.person) : "", i]
        end
      end

      # Notes still to be given, to everyone and to individuals: [[Note], [Note]].
      def halves = order.select(&:open).partition { |note| note.person.nil? }

      # Minutes to give what is still open, in whole minutes; 0 where nothing is.
      def minutes = (@notes.select(&:open).sum { |note| seconds(note) } / 60.0).ceil

      # Seconds to give one.
      def seconds(note) = (note.person ? PERSON : EVERYONE) + (note.text.split.size / WORDS_A_SECOND)

      # Notes with a place that were given three times: those that are the same words about the same place count
      # together: [[Note, times], …], in piece order.
      def cleaning
        same = @notes.select(&:place).group_by { |note| [note.place, note.person, plain(note.text)] }
        tally = same.values.map { |notes| [notes.last, notes.sum(&:given)] }
        tally.select { |_, times| times >= CLEANING }.sort_by { |note, _| [note.count || 0, note.text] }
      end

      private

      def plain(text) = text.downcase.gsub(/[^[:alnum:]]+/, " ").strip
    end
  end
end
