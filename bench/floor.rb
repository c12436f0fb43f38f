# frozen_string_literal: true

module Bench
  # Dancers to spots, the longest way shortest: 8, 26 and 60 dancers at random places of a 14 × 10 m floor.
  class Floor
    def run
      [8, 26, 60].each do |size|
        random = Random.new(size)
        from = (1..size).to_h { |i| [i, place(random)] }
        spots = Array.new(size) { place(random) }
        sorted = Bench.times(9) { Core::Floor::Assignment.new(from, spots).best }
        puts format("%2d dancers: median %6.1f ms, p95 %6.1f ms", size, Bench.median(sorted), Bench.p95(sorted))
      end
    end

    private

    def place(random) = [random.rand(-7.0..7.0), random.rand(0.0..10.0)]
  end
end
