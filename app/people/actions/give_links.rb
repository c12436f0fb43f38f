# frozen_string_literal: true

module App
  module People
    module Actions
      # A private link for every dancer who has none, and for the guardian of every minor who has none; those that are
      # given stay as they are.
      class GiveLinks
        # secret: of the session, out of which their addresses come.
        def initialize(studio, secret)
          @studio = studio
          @links = Reading::LinksAtOnce.new(studio, secret)
        end

        # How many were made.
        def run
          @studio.alone(:people) do
            @links.missing.count do |person, kind|
              person.person_links.issue(studio_id: @studio.id, kind:, token: @links.token(person, kind))
            end
          end
        end
      end
    end
  end
end
