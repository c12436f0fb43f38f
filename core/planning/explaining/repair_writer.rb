# frozen_string_literal: true

module Core
  module Planning
    # Repairs as sentences; the words stand in the locale file.
    class RepairWriter
      MOST = 4
      private_constant :MOST

      # names: {id => name} of people, and {date => what it is called}; say: a callable (key, **values) => text.
      def initialize(names = {}, say:)
        @names = names
        @say = say
        @lists = NameList.new(say:)
      end

      # Core::Planning::Repairs::Repair => "one rehearsal more on Tue 2 Feb, 90 minutes"
      def text(repair) = @say.call("plan_repairs.#{repair.kind}", **send(repair.kind, repair))

      private

      def name(id) = @names.fetch(id, id).to_s

      def rehearsal(repair) = { day: name(repair.window.date), minutes: repair.window.minutes }
      def freed(repair) = { name: name(repair.who) }
      def fewer_passes(_repair) = {}
      def runs(repair) = { count: repair.share.first, planned: repair.share.last }
      def room(repair) = { people: repair.share }
      def quorum(repair) = { names: @lists.of(repair.who.map { |id| name(id) }, MOST) }
    end
  end
end
