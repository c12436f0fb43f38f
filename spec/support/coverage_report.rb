# frozen_string_literal: true

require "coverage"

# Which lines and branches of core and formats no example reached, printed at the end.
module CoverageReport
  module_function

  def begin
    Coverage.start(lines: true, branches: true)
    at_exit { report(Coverage.result.select { |file, _| file.start_with?("#{HOUSE}/core", "#{HOUSE}/formats") }) }
  end

  def report(found)
    found.sort.each do |file, result|
      missed = lines(result[:lines]) + branches(result[:branches])
      warn "#{file.delete_prefix("#{HOUSE}/")}: #{missed.join(', ')}" if missed.any?
    end
    shares = [found.values.flat_map { |all| all[:lines] }, counts(found)].map { |all| share(all).round(1) }
    warn "lines #{shares.first} %, branches #{shares.last} %"
  end

  def lines(counts) = counts.each_with_index.filter_map { |count, at| at + 1 if count&.zero? }

  def branches(all)
    all.flat_map { |_, own| own.select { |_, count| count.zero? }.keys.map { |kind, _, line| "#{kind} in #{line}" } }
  end

  def counts(found) = found.values.flat_map { |all| all[:branches].values.flat_map(&:values) }
  def share(counts) = counts.compact.then { |all| 100.0 * all.count(&:positive?) / [all.size, 1].max }
end
