# frozen_string_literal: true

module Core
  module Planning
    # A task (or a part of it) in a window: start and minutes are whole minutes after the window's start; lead: ids of
    # those who lead it, nil where there is no choice.
    class Placement < Values::Value.of(:task, :window, :start, :minutes, :room, lead: nil)
      # The minute of the rehearsal's clock at which it ends.
      def end = start + minutes
    end
  end
end
