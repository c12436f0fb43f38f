# frozen_string_literal: true

module App
  module Reading
    # Who danced a run, by the register of its rehearsal: whoever was there, had warmed up and did not rest. Where
    # nobody kept a register, whoever was called and had not said that they are away.
    class RunPresent
      # run: Records::Run; cast: ids of everybody in the piece.
      def initialize(run, member, now, cast)
        @run = run
        @cast = cast
        @evening = Evening.new(run.rehearsal, member, now)
      end

      # Ids.
      def dancers
        return @cast.select { |id| register.dances?(id, @run.minute) } if register.begun?

        (@evening.called.keys & @cast) - away
      end

      # Whether anybody was said to be there: else it is only taken so.
      def known? = register.begun?
      def marks?(person) = register.marks?(person)

      private

      def register = @evening.register
      def away = Records::Absence.whole_days(@run.studio, @run.rehearsal.date)
    end
  end
end
