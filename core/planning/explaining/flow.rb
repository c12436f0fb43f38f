# frozen_string_literal: true

module Core
  module Planning
    # Maximum flow with its minimum cut (Dinic 1970). Nodes are any values; capacities are whole numbers.
    #
    #   flow = Flow.new(:s, :t); flow.edge(:s, "a", 3); flow.edge("a", :t, 2)
    #   flow.most         # => 2
    #   flow.source_side  # => [:s, "a"]
    class Flow
      def initialize(source, sink)
        @index = {}
        @edges = []
        @to = []
        @room = []
        @source = node(source)
        @sink = node(sink)
      end

      # Adds a way from one node to another that carries at most capacity (whole units).
      def edge(from, to, capacity)
        a = node(from)
        b = node(to)
        @edges[a] << @to.size
        @to << b
        @room << capacity
        @edges[b] << @to.size
        @to << a
        @room << 0
      end

      # The most that flows from source to sink (Dinic 1970).
      def most
        total = 0
        while levels
          @next = Array.new(@edges.size, 0)
          while (pushed = push(@source, Float::INFINITY)).positive?
            total += pushed
          end
        end
        total
      end

      # Nodes that the source still reaches when the flow is greatest: one side of the minimum cut.
      def source_side
        levels
        names = @index.keys
        @level.each_index.select { |at| @level[at] }.map { |at| names[at] }
      end

      private

      def node(name)
        @index[name] ||= begin
          @edges << []
          @edges.size - 1
        end
      end

      # Distances from the source along edges with room; whether the sink is reached.
      def levels
        @level = Array.new(@edges.size)
        @level[@source] = 0
        open = [@source]
        while (at = open.shift)
          @edges[at].each do |edge|
            to = @to[edge]
            next if @room[edge].zero? || @level[to]

            @level[to] = @level[at] + 1
            open << to
          end
        end
        !@level[@sink].nil?
      end

      def push(at, limit)
        return limit if at == @sink

        while @next[at] < @edges[at].size
          edge = @edges[at][@next[at]]
          pushed = forward?(at, edge) ? push(@to[edge], [limit, @room[edge]].min) : 0
          return send_through(edge, pushed) if pushed.positive?

          @next[at] += 1
        end
        0
      end

      def forward?(from, edge) = @room[edge].positive? && @level[@to[edge]] == @level[from] + 1

      def send_through(edge, amount)
        @room[edge] -= amount
        @room[edge ^ 1] += amount
        amount
      end
    end
  end
end
