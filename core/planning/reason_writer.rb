# frozen_string_literal: true

module Core
  module Planning
    # Turns reasons into sentences a director understands. names: {id => name} of people, tasks and rehearsals.
    class ReasonWriter
      def initialize(names = {}) = @names = names

      def text(reason) = reason.long ? long(reason) : send(reason.type, reason)

      private

      def name(id) = @names.fetch(id, id).to_s

      # Names one after another; tasks of the same name are counted.
      def list(ids, most = 3)
        named = ids.map { |id| name(id) }.tally.map { |name, times| times > 1 ? "#{times} × #{name}" : name }
        shown = named.first(most)
        shown << "#{named.size - most} more" if named.size > most
        shown.size > 1 ? "#{shown[0..-2].join(', ')} and #{shown.last}" : shown.join
      end

      def dates(reason)
        return "on the dates that are left" if reason.windows.empty?
        return "in all #{reason.windows.size} rehearsals" if reason.windows.size > 6

        "on #{list(reason.windows, 6)}"
      end

      def long(reason)
        away = Array(reason.who)
        return "No rehearsal is long enough for #{list(reason.tasks)}: it needs #{reason.need} minutes in one piece, the longest is #{reason.have}." if away.empty?

        "No rehearsal has everybody together long enough for #{list(reason.tasks)}: it needs #{reason.need} minutes in one piece, " \
          "the longest is #{reason.have}, when #{list(away)} #{away.size > 1 ? 'are' : 'is'} away."
      end

      def room(reason)
        return "No room holds #{name(reason.tasks.first)}: #{reason.need} dancers, and the largest room takes #{reason.have}." if reason.unit == :people

        "The rooms are full: #{list(reason.tasks)} fit only #{dates(reason)}, which need #{reason.need} minutes and have #{reason.have}: #{reason.short} short."
      end

      def choreographer(reason)
        "#{list(Array(reason.who))} teaches #{list(reason.tasks)} only #{dates(reason)}: #{reason.need} minutes are needed, #{reason.have} can be had, #{reason.short} short."
      end

      def dancer(reason)
        "#{list(Array(reason.who))} is needed for #{list(reason.tasks)} #{dates(reason)}: #{reason.need} minutes are needed, #{reason.have} can be had, #{reason.short} short."
      end

      def precedence(reason)
        "#{list(reason.tasks, 5)} wait for each other, one after another: that takes at least #{reason.need} rehearsals, and there are #{reason.have}."
      end

      def clique(reason)
        "#{list(reason.tasks, 5)} share dancers, so no two of them can be at once: together #{reason.need} minutes, and the rehearsals have #{reason.have}, #{reason.short} short."
      end

      def none_found(reason)
        "#{reason.short} minutes found no place (#{list(reason.tasks)}), and no single cause stands out."
      end
    end
  end
end
