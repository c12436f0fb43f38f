# frozen_string_literal: true

require "zip"

# Files made hostile: cut off, doubled, with bytes turned, in other letters, with what does harm elsewhere put in.
module Mutations
  NASTY = [
    "\0", "\xFF\xFE", "=cmd|' /C calc'!A0", "<script>alert(1)</script>", "../../../etc/passwd",
    "[" * 3000, "{\"a\":" * 500,
    "\u202Eabc", "9" * 400, "-1", "1e999", "NaN", "\r\n\r\n", "\"", "'", "%n%s", "\xC3", "A" * 20_000, "null", "true"
  ].map(&:b).freeze

  module_function

  # bytes => other bytes.
  def of(bytes, random)
    kind = %i[cut turn drop twice put swap letters].sample(random:)
    made = bytes.b.dup
    (1 + random.rand(3)).times { made = public_send(kind, made, random) }
    made
  end

  # The same to what is inside an archive of parts, so that the archive itself stays whole.
  def inside(bytes, random)
    parts = Zip::File.open_buffer(StringIO.new(bytes)) do |zip|
      zip.map { |each| [each.name, each.get_input_stream.read] }
    end
    chosen = random.rand(parts.size)
    Zip::OutputStream.write_buffer do |out|
      parts.each_with_index do |(name, content), i|
        out.put_next_entry(name)
        out.write(i == chosen ? of(content, random) : content)
      end
    end.string
  end

  def at(bytes, random) = random.rand([bytes.bytesize, 1].max)
  def cut(bytes, random) = bytes.byteslice(0, at(bytes, random))
  def put(bytes, random) = bytes.dup.insert(at(bytes, random), NASTY.sample(random:))

  def turn(bytes, random)
    bytes.dup.tap { |made| made.setbyte(at(made, random), random.rand(256)) unless made.empty? }
  end

  def drop(bytes, random)
    from = at(bytes, random)
    bytes.byteslice(0, from) + bytes.byteslice((from + random.rand(40))..).to_s
  end

  def twice(bytes, random)
    from = at(bytes, random)
    piece = bytes.byteslice(from, random.rand(400)).to_s
    bytes.byteslice(0, from) + piece + bytes.byteslice(from..)
  end

  def swap(bytes, random)
    from = at(bytes, random)
    bytes.byteslice(from..) + bytes.byteslice(0, from)
  end

  def letters(bytes, random)
    text = bytes.dup.force_encoding(Encoding::UTF_8).scrub("?")
    text.encode(%w[UTF-16LE UTF-16BE Windows-1252].sample(random:), undef: :replace).b
  end
end
