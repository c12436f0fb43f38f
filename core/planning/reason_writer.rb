# frozen_string_literal: true

module Core
  module Planning
    # Turns reasons into sentences a director understands. names: {id => name} of people and tasks.
    class ReasonWriter
      def initialize(names = {}) = @names = names

      def text(reason) = send(reason.type, reason)

      private

      def name(id) = @names.fetch(id, id).to_s

      def list(ids, most = 3)
        shown = ids.first(most).map { |id| name(id) }
        shown << "#{ids.size - most} more" if ids.size > most
        shown.size > 1 ? "#{shown[0..-2].join(', ')} and #{shown.last}" : shown.join
      end

      def room(reason)
        return "All rooms together have #{reason.have} minutes left; the work needs #{reason.need}: #{reason.short} short." if reason.windows.any?

        "No room holds #{name(reason.tasks.first)}: #{reason.need} dancers, and the largest room takes #{reason.have}."
      end

      def choreographer(reason)
        "#{name(reason.who)} has #{reason.need} minutes to teach and #{reason.have} on the dates they can come: " \
          "#{reason.short} short (#{list(reason.tasks)})."
      end

      def dancer(reason)
        "#{name(reason.who)} is needed for #{reason.need} minutes and can come for #{reason.have}: #{reason.short} short."
      end

      def precedence(reason)
        "No rehearsal has everybody together long enough for #{name(reason.tasks.first)}: it needs #{reason.need} minutes in one piece, " \
          "the longest stretch is #{reason.have}."
      end

      def none_found(reason)
        "#{reason.short} minutes found no place (#{list(reason.tasks)}), though nobody alone is short of time."
      end
    end
  end
end
