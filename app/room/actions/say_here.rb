# frozen_string_literal: true

module App
  module Room
    module Actions
      # What is said of somebody: a dancer of the studio, or a guest by name.
      class SayHere < Entry
        def run
          return :state unless Core::Room::Said::STATES.include?(@sent.text("state"))
          return :minute unless @sent.minute
          return :nobody unless person || guest

          row = said.merge(person_id: person&.id, guest:, state: @sent.text("state"), minute: @sent.minute)
          Records::Mapping::Registers.say(@rehearsal, [row]).positive? ? :stored : :duplicate
        end

        private

        def person = @person ||= @sent.person
        def guest = (@sent.text("guest").gsub(/\s+/, " ")[0, 80].presence unless person)
      end
    end
  end
end
