# frozen_string_literal: true

module Core
  module Planning
    # What counts against a plan beside waiting (1 a minute) and coming at all, in person-minutes, and from where on
    # (docs/decisions/planner.md).
    module Price
      # A minute of group work for each who misses it: more than coming for it would cost, and than waiting.
      MISSED = 2

      # Each further minute of a single wait that is longer than somebody of that age sits still for.
      LONG_WAIT = 1
      PATIENCE = { "under_8" => 10, "8_11" => 10, "adult" => 30 }.freeze
      PATIENT = 20

      # Each minute that a teacher's evening is shorter than so many; of guests, of those who only teach under-twelves.
      SHORT_EVENING = 1
      EVENING = 45
      GUEST = 60
      SMALL = 30

      # Each minute that a slot is shorter than so many; what follows on with the same people is one slot.
      SHORT_SLOT = 2
      SLOT = 15

      # Each change of more than a third of the people in a room, and each change of rooms, beyond so many an hour.
      CHANGE = 10
      CHANGES = 4

      # Each minute by which brothers and sisters come and go apart.
      APART = 0.5

      # Each minute of a rehearsal until somebody under twelve goes home: the youngest first.
      SMALL_LATE = 0.25

      # A person-minute of new work at the end of the season, less before; in its last fifth as much again and more.
      NEW = 0.2
      LATE_NEW = 0.8
      LATE = 0.8
    end
  end
end
