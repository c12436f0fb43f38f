# frozen_string_literal: true

module App
  module Room
    module Actions
      # Somebody new, added on the spot: a dancer of the studio, in the piece of the slot, perhaps in a group of it.
      # Later entries name them by the key under which they were added.
      class AddNewcomer < Entry
        def run
          now = Shared::Clock.now
          facts = { studio_id: studio.id, name: free_name, dances: true, client_id: @sent.client, created_at: now }
          person = Records::Person.add_once(facts) or return :duplicate

          cast(person) if slot
          :stored
        end

        private

        # A name that is there already gets a number: whether it is the same person somebody says who knows.
        def free_name
          name = @sent.text("name").gsub(/\s+/, " ")
          numbers = (1..).lazy.map { |number| number == 1 ? name : "#{name} (#{number})" }
          numbers.find { |each| !studio.people.present.exists?(name: each) }
        end

        def cast(person)
          piece = slot.plan.piece
          piece.castings.create!(studio_id: studio.id, person_id: person.id)
          group = @sent.row(piece.groups, "group")
          group&.group_members&.create!(studio_id: studio.id, person_id: person.id)
        end
      end
    end
  end
end
