# frozen_string_literal: true

module App
  module Jobs
    # Root of the work that takes seconds or minutes: asked for here, done by turns (Next), so that a studio that asks
    # for much keeps no other waiting. Subclasses say what to do (run), under which name they wait (WORK), and what
    # becomes of
    # what was asked for when a newer ask takes its place or its worker died in it again and again (dropped).
    class Long
      class << self
        attr_accessor :run_synchronously

        def run(*args) = new.run(*args)

        # whose: Records::Studio or Records::Account; same: names what a newer ask replaces.
        def ask(*args, whose:, same:)
          return run(*args) if run_synchronously

          Records::Ask.transaction do
            replace(whose, same)
            Records::Ask.create!(whose: key(whose), work: self::WORK, args:, same: "#{self::WORK} #{same}",
                                 studio_id: (whose.id if studio?(whose)), account_id: (whose.id unless studio?(whose)))
            Next.enqueue
          end
        end

        # Its place among all that wait, 1 next; nil where it does not wait.
        def place(*args) = Records::Ask.place(self::WORK, args)

        private

        def studio?(whose) = whose.is_a?(Records::Studio)
        def key(whose) = "#{studio?(whose) ? 's' : 'a'}#{whose.id}"

        def replace(whose, same)
          older = Records::Ask.waiting.where(whose: key(whose), same: "#{self::WORK} #{same}").to_a
          older.each do |ask|
            ask.ended
            new.dropped(*ask.args)
          end
        end
      end

      # What was asked for will not be done.
      def dropped(*) = nil
    end
  end
end
