# frozen_string_literal: true

require "json"

# Texts nobody foresaw. It knows no grammar: what people typed is taken from the corpora and torn apart (letters,
# numbers and words changed, doubled, dropped, mixed from several lines), beside letters of all kinds.
class OddTexts
  CORPORA = Dir[File.join(__dir__, "..", "corpus", "*.json")].map { |file| File.read(file, encoding: "UTF-8") }.freeze
  TYPED = CORPORA.flat_map { |text| JSON.parse(text) }
    .flat_map { |entry| [entry["text"], *[entry["leaving"], entry["entering"]].grep(Hash).map { |side| side["rows"] }] }
    .flatten.grep(String).uniq.freeze
  NUMBERS = %w[0 00 -1 1 2 3 7 8 9 16 17 64 65 99 100 1000 99999999999 1.5 ½].freeze
  LETTERS = [
    *("\u0020".."\u007e"), *"éß–—“…×²日𝄞👯".chars, "\u00a0", "\u200b", "\u202e", "\t", "\n", "e\u0301"
  ].freeze

  GAPS = [" ", "", ", ", "  "].freeze

  def initialize(random)
    @random = random
  end

  # One text of up to about 300 letters.
  def text
    case @random.rand(6)
    when 0 then letters(@random.rand(0..40))
    when 1 then words.sample(@random.rand(0..20), random: @random).join(GAPS.sample(random: @random))
    when 2 then numbers(typed)
    else torn(@random.rand < 0.5 ? typed : numbers(typed))
    end
  end

  private

  def typed = TYPED.sample(random: @random)
  def letters(count) = Array.new(count) { LETTERS.sample(random: @random) }.join
  def words = Array.new(3) { typed }.flat_map(&:split) + NUMBERS.sample(3, random: @random)

  # Every number may become another one.
  def numbers(text) = text.gsub(/\d+/) { |number| @random.rand < 0.4 ? NUMBERS.sample(random: @random) : number }

  def torn(text)
    text = text.dup
    @random.rand(1..6).times do
      at = @random.rand(text.size + 1)
      case @random.rand(5)
      when 0 then text[at, @random.rand(1..4)] = ""
      when 1 then text.insert(at, LETTERS.sample(random: @random))
      when 2 then text.insert(at, text[@random.rand(text.size + 1), @random.rand(1..12)].to_s)
      when 3 then text.insert(at, NUMBERS.sample(random: @random))
      else text.insert(at, " #{words.sample(random: @random)} ")
      end
    end
    text
  end
end
