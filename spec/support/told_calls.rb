# frozen_string_literal: true

require "ripper"

# Calls that a file makes of the world outside it, by their names and without running anything: the clock, chance, the
# process, the screen. Words in texts and comments are none.
class ToldCalls
  # What the kernel does for anybody, called with nobody before it.
  KERNEL = %w[
    rand srand sleep system exec fork spawn exit exit! abort at_exit puts print p pp warn printf putc gets readline
    open load require require_relative autoload eval binding trap caller caller_locations set_trace_func test select
    `
  ].freeze
  # What asks of anything who or when it is.
  OF_ANYTHING = %w[object_id __id__ instance_eval class_eval const_get constants send_file].freeze
  # The clock and chance by the names of those that hold them.
  HOLDERS = { "Date" => %w[today], "Random" => %w[rand new_seed srand bytes seed], "Process" => nil, "Time" => nil,
              "DateTime" => nil, "SecureRandom" => nil, "Kernel" => nil, "ObjectSpace" => nil, "GC" => nil,
              "Etc" => nil, "Signal" => nil, "Thread" => %w[new start current] }.freeze
  # Chance unless it is handed in.
  CHANCE = /\.(?:shuffle|sample)!?(?!\w|\([^)]*random)/

  def self.in(file) = new(File.read(file, encoding: "UTF-8")).names

  def initialize(text)
    @text = text
    @tokens = Ripper.lex(text).map { |_, kind, said| [kind, said] }
    @tokens.delete_if { |token| token.first == :on_sp }
  end

  # [name] as it is called: "rand", "Date.today".
  def names = [*kernel, *asked, *held, *chance].uniq

  private

  def before(index) = index.zero? ? ["", ""] : @tokens[index - 1]
  def following(index) = @tokens[index + 1] || ["", ""]
  def called?(index) = %w[. &. ::].include?(before(index).last)

  def kernel
    said = with_places.select { |(kind, word), at| kind == :on_backtick || (kind == :on_ident && kernels?(word, at)) }
    said.map { |token, _| token.last }
  end

  # Whether a word is the kernel's, and neither somebody else's nor something of the file's own.
  def kernels?(said, index)
    KERNEL.include?(said) && !called?(index) && !own?(said) &&
      !before(index).last.match?(/\A(?:def|:|@)\z/) && !following(index).last.match?(/\A(?:=|:|\|)\z/)
  end

  # Names that the file gives something of its own: a method, a parameter, a local.
  def own?(said) = @text.match?(/\bdef (?:self\.)?#{said}\b|[|(,]\s*#{said}\b\s*[,|)=:]|\b#{said}\s*=[^=]|:#{said}\b/)

  def asked
    with_places.select { |(kind, said), at| kind == :on_ident && OF_ANYTHING.include?(said) && called?(at) }
      .map { |(_, said), _| said }
  end

  def held
    with_places.filter_map do |(kind, said), at|
      next unless kind == :on_const && HOLDERS.key?(said) && before(at).last != "::"

      method = @tokens[at + 2]&.last
      "#{said}.#{method}" if HOLDERS[said].nil? || HOLDERS[said].include?(method)
    end
  end

  def chance = @text.lines.reject { |line| line.strip.start_with?("#") }.filter_map { |line| line[CHANCE] }
  def with_places = @tokens.each_with_index
end
