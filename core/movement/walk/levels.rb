# frozen_string_literal: true

module Core
  module Movement
    class Walk
      # How high the body is: who sits stays seated, who steps has risen, who lies gets up.
      module Levels
        STANDS = %i[lead other both].freeze
        LOW = %i[floor kneeling].freeze
        UNSEATS = %i[standing floor kneeling air].freeze
        # How the feet stand, and no standing up: "and get low, feet wide".
        STANCE = /\bfeet (?:\w+ )*(?:wide|apart|parallel|hips?|shoulders?)\b/i
        private_constant :STANDS, :STANCE, :LOW, :UNSEATS

        private

        def seated? = @state.weight.value == :seated

        # Who sits goes on sitting, whatever the feet do, until it is said that they get up or down.
        def unseats?(step) = UNSEATS.include?(step.level) || step.weights.include?(:seated)

        def sit_through(_step, move) = turn(move)

        def change_level(step, move)
          return unless move.level

          stays = step.open && step.foot == :rise && @state.level.value == :standing
          return if stays
          return set(level: Known.derived(@state.level.value)) if sitting_down?(step)

          set(level: Known.derived(move.level))
        end

        # "low", "down" of somebody who is lower already.
        def sitting_down?(step) = step.level == :low && LOW.include?(@state.level.value)

        # "kneel, stay low".
        def stays_low?(move) = move.kind == :hold && move.level == :low && LOW.include?(@state.level.value)

        # A foot that works stands again unless the step says otherwise.
        def leave_floor(step, move)
          return unless @state.level.value == :low && step.level.nil? && step.weights.intersect?(STANDS)
          return if step.name == "feet together" && move.text.match?(STANCE)

          set(level: Known.derived(:standing))
        end

        def need_level(step, move, row)
          return unless step.needs == :standing && LOW.include?(@state.level.value) && @state.level.sure?

          ask(row, move, :from_the_floor, @state.level.value)
          @unready = true
        end

        # Up from the floor, a knee or low: on the foot that bore the weight, else on both, as far as anybody knows.
        def stand_up
          return if %i[left right both].include?(@state.weight.value)
          return if @state.level.value == :standing && @state.weight.value.nil? && @state.level.sure?

          @state = @state.with(weight: Known.supposed(:both))
          @doubts[:weight] = Doubt.new(row: @row, move: nil)
        end

        # A step from a knee stands up; from the floor it must have done, whatever was left out.
        def rise
          level = @state.level
          return set(level: Known.derived(:standing)) if level.value == :kneeling
          return set(level: Known.derived(:standing)) if level.source == :supposed && level.value == :standing

          @state = @state.with(level: Known.supposed(:standing)) if %i[floor air].include?(level.value)
        end
      end
    end
  end
end
