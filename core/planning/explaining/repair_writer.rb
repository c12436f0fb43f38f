# frozen_string_literal: true

module Core
  module Planning
    # Repairs as sentences; the words stand in the locale file.
    class RepairWriter
      MOST = 4
      private_constant :MOST

      # names: {id => name} of people, and {date => what it is called}; say: a callable (key, **values) => text; hours:
      # a callable, Window => "18:00 – 20:00", where it is known what stands around a window.
      def initialize(names = {}, say:, hours: nil)
        @hours = hours
        @names = names
        @say = say
        @lists = NameList.new(say:)
      end

      # Core::Planning::Repairs::Repair => "one rehearsal more on Tue 2 Feb, 90 minutes"
      def text(repair) = @say.call("plan_repairs.#{key(repair)}", **send(repair.kind, repair))

      private

      def key(repair)
        return "rehearsal_at" if repair.kind == :rehearsal && @hours
        return "quorum_share" if repair.kind == :quorum && repair.who.nil?

        repair.kind
      end

      def name(id) = @names.fetch(id, id).to_s

      def rehearsal(repair)
        { day: name(repair.window.date), minutes: repair.window.minutes, hours: @hours&.call(repair.window) }
      end

      def freed(repair) = { name: name(repair.who) }
      def fewer_passes(_repair) = {}
      def runs(repair) = { count: repair.share.first, planned: repair.share.last }
      def room(repair) = { people: repair.share }

      def quorum(repair)
        { percent: (repair.share.to_f * 100).round, names: @lists.of(Array(repair.who).map { |id| name(id) }, MOST) }
      end
    end
  end
end
