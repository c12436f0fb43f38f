# frozen_string_literal: true

# What the specs of a run took, from a log of their files' seconds: the sum, and the slowest. Prints, and fails nothing:
# a slow machine is no fault.
SUM = 1_100
FILE = 45
files = File.readlines(ARGV.first, chomp: true).map { |line| line.rpartition(":").values_at(0, 2) }
files = files.map { |file, seconds| [file, seconds.to_f] }.sort_by { |_, seconds| -seconds }
puts "#{files.sum(&:last).round} s of specs in #{files.size} files (at most #{SUM} wanted)"
slow = files.select { |_, seconds| seconds > FILE }
slow.each { |file, seconds| puts "  #{seconds.round.to_s.rjust(4)} s  #{file} (at most #{FILE} wanted)" }
