# frozen_string_literal: true

module App
  module Planning
    module Actions
      # A first plan at once, and a job that goes on looking for a better one.
      class Begin
        def initialize(piece, account, now, school: nil, way: nil)
          @piece = piece
          @account = account
          @now = now
          @school = Core::Planning::Schools::ALL.keys.find { |key| key == school }
          @way = way
        end

        def run
          if @school && @school != @piece.setting("school")
            @piece.update!(settings: @piece.settings.merge("school" => @school))
          end
          plan = Make.new(@piece, @account, @now, way: @way).run
          plan.update_columns(search: { "state" => "waiting", "share" => 0, "way" => @way }.compact)
          Jobs::ImprovePlan.enqueue(plan.studio_id, plan.id)
          plan
        end
      end
    end
  end
end
