# frozen_string_literal: true

module Core
  module Planning
    # Something to rehearse. dancers, choreographers: ids of everybody who must be there the whole time.
    # after: not before the end of these; after_window: in a strictly later rehearsal. A task with split may be
    # spread over rehearsals, one part in each. eights: new material it holds, for the cap on each rehearsal;
    # from_eight: the eight its first lesson begins with. may: those of its dancers who can miss it, of whom `enough`
    # are to come, and so many of each of its groups: [{people:, enough:}]; leads: [{people:, price:}], of whom one set
    # leads it (price in person-minutes), instead of choreographers; piece: id of its piece; full_out: danced with all
    # one has; cast: "A" or "B"; needs: what a room has to allow, of lift and jump;
    # first_day, last_day: ISO dates before and after which it is not rehearsed, or nil.
    class Task < Values::Value.of(
      :id, :kind, :minutes, split: false, dancers: [].freeze, choreographers: [].freeze,
                            sections: [].freeze, after: [].freeze, after_window: [].freeze, links: nil, title: nil,
                            eights: 0, from_eight: 1,
                            may: [].freeze, enough: 0, groups: [].freeze, leads: [].freeze, piece: nil,
                            full_out: false, cast: nil, needs: [].freeze, last_day: nil, first_day: nil
    )
      KINDS = %w[make learn difference join place chain clean run review catchup].freeze

      # Ids of everybody it asks for, whoever leads it aside where there is a choice.
      def people = dancers | choreographers

      # Ids of everybody who could lead it, where there is a choice.
      def leaders = leads.flat_map { |lead| lead[:people] }.uniq

      # Ids of those without whom it is not done.
      def must = people - may

      # Whether it is done with these of its dancers while those others are out: none of them is somebody without whom
      # it is not, and enough are there.
      def goes_ahead?(here, out)
        !(dancers - may).intersect?(out) && (may.empty? || (may & here).size >= enough) &&
          groups.all? { |group| (group[:people] & here).size >= group[:enough] }
      end

      # What a room has to allow.
      def marks = full_out ? [*needs, "full_out"] : needs

      # Ids of the tasks it waits for, in the same rehearsal or an earlier one.
      def before = after | after_window

      # Whether it is a run of the whole piece.
      def run? = kind == "run"

      # Material that is danced for the first time: it is recapped next time and ends the day to music.
      def fresh? = %w[make learn difference join].include?(kind)

      # Danced right through, so that nothing need be kept free around it.
      def through? = %w[chain run].include?(kind)
    end
  end
end
