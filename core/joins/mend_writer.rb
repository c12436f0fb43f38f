# frozen_string_literal: true

module Core
  module Joins
    # Mends as sentences: what to do, where.
    class MendWriter
      FACES = ["", "front", "the front-right corner", "right", "the back-right corner", "back", "the back-left corner", "left", "the front-left corner"].freeze
      FEET = { left: "left", right: "right", both: "both" }.freeze
      AMOUNTS = { 1 => "an eighth", 2 => "a quarter", 3 => "three eighths", 4 => "half" }.freeze
      private_constant :FACES, :FEET, :AMOUNTS

      def initialize(work) = @links = work.order.links

      # "End Smoke with a weight change on 8."
      def text(mend) = send(mend.change, mend, name(mend), mend.facts)

      private

      def name(mend) = @links[mend.link - 1].name
      def plural(count, word) = "#{count} #{word}#{'s' unless count == 1}"

      def weight_change(mend, name, _facts) = "End #{name} with a weight change on #{mend.count}"
      def touch_instead(mend, name, _facts) = "End #{name} with a touch on #{mend.count} instead of a step"
      def mirror_eight(_mend, name, _facts) = "Start #{name} on the other foot: turn its first eight over"
      def mirror_link(_mend, name, _facts) = "Dance all of #{name} on the other side here"
      def turn(mend, name, facts) = "Turn #{AMOUNTS.fetch(facts[:eighths], 'on')} #{facts[:way]} from #{mend.count} in the last eight of #{name}"
      def enter_facing(_mend, name, facts) = "Start #{name} facing #{FACES[facts[:facing]]}"
      def level_change(mend, name, facts) = "Be #{facts[:level] == :floor ? 'on the floor' : facts[:level]} by the end of #{name}, from #{mend.count} on"
      def take_counts(_mend, name, facts) = "Give #{plural(facts[:counts], 'count')} before #{name}"
      def drop_and(_mend, name, _facts) = "Leave out the last move of #{name}"
      def drop_pickup(_mend, name, _facts) = "Start #{name} on one, without the pickup"
      def own_counts(_mend, name, facts) = "Make the last line of #{name} #{plural(facts[:counts], 'count')} long"
      def extend_hold(_mend, name, facts) = "Hold at the end of #{name}: #{facts[:holds].values.uniq.sort.join(' and ')} more #{facts[:holds].values.all?(1) ? 'count' : 'counts'} for those who are early"
      def name_tempo(_mend, name, facts) = "Say “#{facts[:name]}” on the first eight of #{name}"
      def put_down(mend, name, facts) = "Let go of the #{facts[:what]} on #{mend.count} of #{name}"
      def pick_up(mend, name, facts) = "Have the #{facts[:what]} in hand on #{mend.count} of #{name}"

      def state_edge(_mend, name, facts)
        key, value = facts.first
        case key
        when :weight then "#{name} leaves the #{value == :left ? 'right' : 'left'} foot free"
        when :facing then "#{name} ends facing #{FACES[value]}"
        when :level then "#{name} starts #{value == :floor ? 'on the floor' : value}"
        when :place then "#{name} starts at #{value}"
        else value.empty? ? "#{name}: nothing in hand" : "#{name}: #{value} in hand"
        end
      end
    end
  end
end
