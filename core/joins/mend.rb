# frozen_string_literal: true

module Core
  module Joins
    # Something that would make a finding fit. change: what is done, for whoever words it (:weight_change,
    # :touch_instead, :mirror_eight, :mirror_link, :turn, :enter_facing, :state_edge, :level_change, :take_counts,
    # :drop_and, :drop_pickup, :own_counts, :extend_hold, :name_tempo, :put_down, :pick_up, :say_groups,
    # :brakes_off);
    # link: index of the link it is done in; row, count: where (from 1); facts: words and figures; edit: the Edit that
    # does it.
    class Mend < Values::Value.of(:change, :link, :edit, row: nil, count: nil, facts: {}.freeze)
      # The work with this mend done. here_only: at this link, which becomes one with changes, and not wherever the
      # section is danced.
      def apply(work, here_only: false) = edit.apply(work, link, here_only:)

      # Whether it can be done at this link alone.
      def here_only? = edit.here_only?
    end
  end
end
