# frozen_string_literal: true

module Core
  module Learning
    # What makes something count as learned. ticks: somebody who teaches ticked the rung. clean_runs: it was danced so
    # often at that rung. confirmed: the dancer reports it and the teacher signs it off. clip: a clip of it was
    # reviewed. runs: how many clean runs. A way never changes a rung, only what the rung is taken for.
    #
    #   Way.new(name: "clean_runs", runs: 3).learned?(cell, ladder)  # => false until the third
    class Way < Values::Value.of(name: "ticks", runs: 3)
      NAMES = %w[ticks clean_runs confirmed clip].freeze
      DEFAULT = new

      # cell: Cell; ladder: Ladder.
      def learned?(cell, ladder)
        return cell.clean >= runs if name == "clean_runs"
        return false unless ladder.learned?(cell.rung)

        case name
        when "confirmed" then cell.signed_off
        when "clip" then cell.reviewed
        else true
        end
      end

      # What is still to come where the rung is there: [:clean_runs, how many], [:confirmed, nil], [:clip, nil]; nil
      # where nothing is, or where the rung is not there.
      def missing(cell, ladder)
        begun = ladder.learned?(cell.rung) || (name == "clean_runs" && cell.clean.positive?)
        return if learned?(cell, ladder) || !begun

        name == "clean_runs" ? [:clean_runs, runs - cell.clean] : [name.to_sym, nil]
      end

      private

      def settle
        known = NAMES.include?(name)
        raise ValueError.new("way", "must be one of #{NAMES.join(', ')}, got #{name.inspect}") unless known
        raise ValueError.new("runs", "must be 1 to 20, got #{runs.inspect}") unless runs.between?(1, 20)
      end
    end
  end
end
