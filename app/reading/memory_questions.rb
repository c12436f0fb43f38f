# frozen_string_literal: true

module App
  module Reading
    # Questions from a piece's chain, in words.
    class MemoryQuestions
      # key: "after-3"; text; choices: [[key, words]]; answer: the right key, in words too.
      Asked = Struct.new(:key, :text, :choices, :answer, :right, :question, keyword_init: true)

      def initialize(snapshot)
        @snapshot = snapshot
        @order = snapshot.work.order
      end

      # [Asked]: at most five for somebody (their own links, what they are least sure of), the same all day.
      def for_person(person, today)
        mine = @order.links.map(&:index).select { |index| items.in_link(index).include?(person.id) }
        random = Random.new((person.id * 1000) + today.yday)
        memory.round(sure: lambda { |question|
          sureness(question, person.id)
        }, among: mine, random:).map { |one| asked(one) }
      end

      # [Asked]: at most five for everybody at once, the joins that fewest have first.
      def for_all(today)
        memory.round(sure: ->(question) { shared(question) }, random: Random.new(today.yday)).map { |one| asked(one) }
      end

      private

      def items = @snapshot.items
      def progress = @snapshot.progress
      def memory = @memory ||= Core::Running::Memory.new(@order, exits:)

      # The free foot at the end of each link, where it is known.
      def exits
        @order.links.to_h do |placed|
          weight = @snapshot.danced.walk(placed.link).exit
          [placed.index, weight.weight.sure? ? weight.free_foot : nil]
        end
      end

      # The item a question hangs on: its join, else the link.
      def item(question) = (question.join && items.of_join(question.join)) || items.of_link(question.about.first)

      def sureness(question, person)
        found = item(question) or return 0.0
        progress.rung(person, found.key).fdiv(progress.ladder.top)
      end

      def shared(question)
        found = item(question) or return 0.0
        progress.share(items.dancers(found), found.key, at: "tempo")
      end

      def asked(question)
        Asked.new(
          key: "#{question.kind}-#{question.about.first}", text: text(question), answer: question.answer.to_s,
          choices: question.choices.map { |choice| [choice.to_s, words(question, choice)] },
          right: words(question, question.answer), question:
        )
      end

      def text(question)
        placed = @order.links[question.about.first - 1]
        key = question.kind == :which ? which(placed) : question.kind
        I18n.t("memory.ask.#{key}", place: place(placed), name: placed.name)
      end

      def which(placed) = placed.link.altered? ? :which_altered : :which_mirrored

      # "Waggle Line (2 of 3), other side"
      def place(placed)
        parts = [Shared::PlaceName.link_name(placed)]
        parts << I18n.t("echo.marks.mirrored") if placed.link.mirrored
        parts << I18n.t("echo.marks.altered") if placed.link.altered?
        parts.join(", ")
      end

      def words(question, choice)
        return I18n.t("memory.feet.#{choice}") if question.kind == :ends_on
        return I18n.t("memory.start") if choice.zero?
        return I18n.t("memory.end") if choice > @order.links.size

        placed = @order.links[choice - 1]
        question.kind == :which ? Shared::PlaceName.link_name(placed) : place(placed)
      end
    end
  end
end
