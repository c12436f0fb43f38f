# frozen_string_literal: true

# What makes a template hard to read: too long, too much Ruby in it, or two block elements or control tags on a line.
class TemplateLines
  LINES = 60
  TAGS = 40
  BLOCK = %w[
    article aside button dd details div dl dt fieldset figcaption figure footer form h1 h2 h3 header label legend li
    main nav ol optgroup p pre section select summary table tbody td tfoot th thead tr ul
  ].freeze
  CONTROL = /<%\s*(?:if|unless|else|elsif|case|when|for|while|end\b|[^=%#][^%]*\bdo\b)/
  START = /<(?:#{BLOCK.join('|')})\b/

  def initialize(file)
    @lines = File.readlines(file, chomp: true)
  end

  # ["", ":12 …"]: what is wrong, with the line where there is one.
  def faults
    [
      (": #{@lines.size} lines" if @lines.size > LINES),
      (": #{tags} Ruby tags" if tags > TAGS),
      *@lines.each_with_index.filter_map { |line, i| ":#{i + 1} two on a line" if crowded?(line) }
    ].compact
  end

  private

  def tags = @tags ||= @lines.sum { |line| line.scan(/<%(?!\s*end\b)/).size }

  # A control tag or a block element shares its line with another, or with what stands before it.
  def crowded?(line)
    controls = line.scan(CONTROL).size
    starts = line.scan(START).size
    controls > 1 || starts > 1 || (controls == 1 && starts == 1)
  end
end
