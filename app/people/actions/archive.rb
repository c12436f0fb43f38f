# frozen_string_literal: true

module App
  module People
    module Actions
      # Puts somebody away from today on, in one step: out of casts, of the calls ahead that were told or drafted, and
      # so of registers. Their groups, and whom they lead or cover, come back with them; calls with the next plan.
      class Archive
        def initialize(person, now)
          @person = person
          @studio = person.studio
          @now = now
        end

        def about = @about ||= Reading::Leaving.new(@person, @now)

        def run
          @person.alone(:people) do
            about.rows.delete_all
            @person.archive_or_restore(true, @now)
            about.pieces.each(&:touch)
          end
        end

        # Back again: in their casts and groups as before.
        def restore
          @person.archive_or_restore(false, @now)
          about.pieces.each(&:touch)
        end
      end
    end
  end
end
