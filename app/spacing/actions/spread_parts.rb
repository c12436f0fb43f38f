# frozen_string_literal: true

module App
  module Spacing
    module Actions
      # Gives the groups of a section a canon (each so many counts after the one before, all holding until the last is
      # done) or swapped halves (half of them move while the others hold); or everybody together.
      class SpreadParts
        WAYS = %w[together canon halves].freeze

        # first: id of the group that begins, or nil for the first.
        def initialize(section, way, step, account, today, first: nil)
          @section = section
          @first = first
          @way = way
          @step = step
          @account = account
          @today = today
        end

        def run
          groups = @section.parts.order(:id).map(&:group_id)
          groups = @section.piece.groups.map(&:id) if groups.empty?
          groups = beginning(groups)
          offsets = offsets(groups.size)
          parts =
            groups.zip(offsets)
              .to_h do |group, offset|
                [
                  group.to_s,
                  {
                    "in" => "1",
                    "offset" => offset,
                    "hold_before" => offset,
                    "pauses" => [],
                    "hold_after" => offsets.max - offset
                  }
                ]
              end
          SaveParts.new(@section, { "parts" => parts, "lock_version" => @section.lock_version }, @account, @today).run
        end

        private

        # The group that begins, the others behind it in their order.
        def beginning(groups)
          at = groups.index(@first) or return groups
          groups.rotate(at)
        end

        def offsets(size)
          case @way
          when "canon" then Array.new(size) { |i| i * @step }
          when "halves" then Array.new(size) { |i| i < (size / 2.0).ceil ? 0 : @section.eights.sum(&:counts) }
          else Array.new(size, 0)
          end
        end
      end
    end
  end
end
