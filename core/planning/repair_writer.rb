# frozen_string_literal: true

module Core
  module Planning
    # Repairs as sentences. names: {id => name} of people, and {date => what it is called}.
    class RepairWriter
      def initialize(names = {}) = @names = names

      def text(repair) = send(repair.kind, repair)

      private

      def name(id) = @names.fetch(id, id).to_s

      def list(ids)
        shown = ids.first(4).map { |id| name(id) }
        shown << "#{ids.size - 4} more" if ids.size > 4
        shown.size > 1 ? "#{shown[0..-2].join(', ')} and #{shown.last}" : shown.join
      end

      def rehearsal(repair) = "one rehearsal more on #{name(repair.window.date)}, #{repair.window.minutes} minutes"
      def freed(repair) = "#{name(repair.who)} comes to all rehearsals"
      def fewer_passes(_repair) = "fewer passes: a fifth less time for what is taught"
      def runs(repair) = "#{repair.share.first} full #{repair.share.first == 1 ? 'run' : 'runs'} ahead instead of #{repair.share.last}"
      def room(repair) = "a further room for #{repair.share} in every rehearsal"
      def quorum(repair) = "it goes ahead without #{list(repair.who)}, to be caught up before the join"
    end
  end
end
