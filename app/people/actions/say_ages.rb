# frozen_string_literal: true

module App
  module People
    module Actions
      # One age band for all dancers of whom none is said; whoever is of another one has it on their own page.
      class SayAges
        def initialize(studio, band)
          @studio = studio
          @band = band
        end

        # How many it was said of; nobody where it is no band.
        def run
          bands = Core::Planning::AgeBands
          return 0 unless bands::ALL.include?(@band)

          @studio.alone(:people) do
            open = @studio.people.dancers.where(adult: false, band: nil).to_a
            open.each { |person| person.update!(band: @band, adult: @band == bands::ADULT) }
            open.size
          end
        end
      end
    end
  end
end
