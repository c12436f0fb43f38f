# frozen_string_literal: true

module App
  module Planning
    module Offers
      # What becomes of a plan when a repair is done: the repair as the change that a director would make (asked), and
      # the plan that is made then. Core::Planning::Repairs tries its repairs here.
      class RepairWorld
        SHARES = [0.7, 0.6, 0.5].freeze

        def initialize(piece, now)
          @piece = piece
          @studio = piece.studio
          @now = now
        end

        def quorums = SHARES.select { |share| share < @piece.setting("quorum") }

        # What costs people little: somebody else leads, somebody comes on a day more, the runs go on without it.
        def gentle(tasks) = others.gentle(tasks)

        # What changes how it is built: a repeat without its changes, another school.
        def changes(tasks) = others.changes(tasks)

        # Core::Planning::Plan, or nil where nobody could do it.
        def plan(repair)
          return Core::Planning::Solver.new(repair.problem, effort: "quick").plan if repair.kind == :room

          change = Changes.of(@piece, asked(repair))
          ChangedPlan.new(@piece, @now, change).plan if change.valid?
        end

        # What the form of What if says for it; nothing for a further room, which somebody has to find first.
        def asked(repair)
          case repair.kind
          when :change then repair.about
          when :freed then { "change" => "freed", "person" => row(repair.who) }
          when :rehearsal then { "change" => "extra", **times(repair.window) }
          when :fewer_passes then { "change" => "passes", "passes" => "fewer" }
          when :runs then { "change" => "runs", "count" => (draft.done_runs + repair.share.first).to_s }
          when :quorum then { "change" => "quorum", "share" => (repair.share * 100).round.to_s }
          else {}
          end
        end

        # What it is called where the core has no words for it.
        def text(repair) = Changes.of(@piece, repair.about).text

        # "18:00 – 20:00" of a window with what stands around it.
        def hours(window) = times(window).values_at("start", "end").join(" – ")

        private

        def row(id) = Records::Mapping::Identifiers.row(id).to_s

        def times(window)
          {
            "date" => window.date,
            "start" => Formats::Times.clock(window.start - season.warm_up),
            "end" => Formats::Times.clock(window.finish + season.care.cool_down)
          }
        end

        def season = @season ||= Records::Mapping::Seasons.new(@piece, now: @now)
        def draft = @draft ||= Reading::PlanDraft.new(@piece, @now)
        def others = @others ||= OtherRepairs.new(draft)
      end
    end
  end
end
