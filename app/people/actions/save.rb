# frozen_string_literal: true

module App
  module People
    module Actions
      # Adds or changes a dancer or choreographer. A new choreographer gets the next free tape.
      class Save
        def initialize(studio, person, params)
          @studio = studio
          @person = person
          @params = params
        end

        # One at a time in a studio: two people adding the same name are told, not shown an error.
        def run = @studio.alone(:people) { save }

        private

        def save
          @person.lock_version = @params["lock_version"].to_i if @params["lock_version"].to_s.match?(/\A\d+\z/)
          @person.assign_attributes(
            name: @params["name"].to_s,
            dances: @params["dances"] == "1",
            teaches: @params["teaches"] == "1",
            **age,
            **needs,
            **together,
            rings: @params.fetch("rings", @person.rings).to_s.strip,
            tape:
          )
          return Shared::Result.no({ name: I18n.t("people.twice", name: @person.name) }, @person) if twin?

          if @person.save
            Shared::Result.ok(@person)
          else
            Shared::Result.no(@person.errors.to_hash.transform_values(&:first), @person)
          end
        end

        # The band that is said, and with it whether somebody is an adult; what is not sent stays.
        def age
          return { adult: @params["adult"] == "1" } unless @params.key?("band")

          band = @params["band"] if Core::Planning::AgeBands::ALL.include?(@params["band"])
          { band:, adult: band == Core::Planning::AgeBands::ADULT }
        end

        # What they always need; what is not sent stays.
        def needs
          return {} unless @params.key?("needs")

          { wheels: @params["wheels"] == "1", needs: @params["needs"].to_s.gsub(/\s+/, " ").strip }
        end

        # Whom they come and go with; what is not sent stays.
        def together
          return {} unless @params.key?("comes_with")

          id = @params["comes_with"].to_s[/\A\d{1,18}\z/]
          { comes_with: @studio.people.where.not(id: @person.id).find_by(id:) }
        end

        def tape
          given = @params["tape"].to_i
          return given if given.between?(1, Records::Person::TAPES)

          @person.tape || (Shared::NextTape.next_free(@studio) if @params["teaches"] == "1")
        end

        def twin?
          @studio.people.where.not(id: @person.id).where("lower(name) = ?", @person.name.to_s.downcase).exists?
        end
      end
    end
  end
end
