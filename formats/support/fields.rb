# frozen_string_literal: true

module Formats
  # One JSON object being read by hand. Every reading checks type and bounds and notes a fault with its path; the
  # reading goes on, so that all faults are told at once. Keys nobody asked for end up in the notes.
  class Fields
    MISSING = Object.new.freeze
    Report = Struct.new(:faults, :notes) do
      def finish(*)
        raise FaultyFile, faults if faults.any?
      end
    end

    def self.shown(value) = value.nil? ? "nothing" : JSON.generate(value, allow_nan: true)[0, 60]
    def self.report = Report.new([], [])

    # "2027-03-20" => Date, or nil.
    def self.date(text)
      Date.iso8601(text) if text.is_a?(String) && text.match?(Times::DATE)
    rescue Date::Error
      nil
    end

    attr_reader :path, :report

    def initialize(data, path, report)
      @data = data.is_a?(Hash) ? data : {}
      @path = path
      @report = report
      @asked = []
      @void = !data.is_a?(Hash)
      fault(path.empty? ? "the file" : path, "must be an object, got #{Fields.shown(data)}") if @void
    end

    def text(name, default: MISSING)
      read(name, default, "a text") { |value| value.is_a?(String) || value.is_a?(Integer) }.then do |v|
        v.is_a?(Integer) ? v.to_s : v
      end
    end

    def integer(name, min: 0, max: 1_000_000, default: MISSING)
      read(name, default, "a whole number from #{min} to #{max}") do |value|
        value.is_a?(Integer) && value.between?(min, max)
      end
    end

    def number(name, min: -1e9, max: 1e9, default: MISSING)
      read(name, default, "a number from #{min} to #{max}") { |value| value.is_a?(Numeric) && value.between?(min, max) }
    end

    def flag(name, default: false) = read(name, default, "true or false") { |value| [true, false].include?(value) }

    def choice(name, among, default: MISSING)
      read(name, default, "one of #{among.join(', ')}") { |value| among.include?(value) }
    end

    def match(name, pattern, what, default: MISSING)
      read(name, default, what) { |value| value.is_a?(String) && value.match?(pattern) }
    end

    # A day of the calendar (Date), written 2027-03-20.
    def day(name, default: MISSING)
      text = read(name, default, "a day such as 2027-03-20") { |value| Fields.date(value) }
      text.is_a?(String) ? Fields.date(text) : text
    end

    # A list of texts.
    def texts(name, default: [])
      list =
        read(name, default, "a list of texts") do |value|
          value.is_a?(Array) && value.all? { |v| v.is_a?(String) || v.is_a?(Integer) }
        end
      list&.map(&:to_s)
    end

    # A list of whole numbers.
    def integers(name, min: 0, max: 1_000_000)
      wanted = "a list of whole numbers from #{min} to #{max}"
      read(name, MISSING, wanted) do |value|
        value.is_a?(Array) && value.all? { |v| v.is_a?(Integer) && v.between?(min, max) }
      end || []
    end

    # Ids given as texts or as objects with an "id" (whose other keys only document).
    def ids(name)
      value = read(name, [], "a list of ids") { |v| v.is_a?(Array) } || []
      value.each_with_index.filter_map { |item, i| id(item, "#{at(name)}[#{i}]") }
    end

    # Each object of a list, as Fields, mapped by the block.
    def list(name, default: [])
      value = read(name, default, "a list") { |v| v.is_a?(Array) } || []
      value.each_with_index.map { |item, i| nested(item, "#{at(name)}[#{i}]") { |fields| yield fields, i } }
    end

    # One nested object as Fields, mapped by the block; the default when it is absent.
    def object(name, default: nil, &block)
      @asked << name
      @data.key?(name) && !@data[name].nil? ? nested(@data[name], at(name), &block) : default
    end

    # Objects under arbitrary keys ({"4": {…}}), mapped by the block with key and Fields.
    def entries(name)
      value = read(name, {}, "an object") { |v| v.is_a?(Hash) } || {}
      value.map { |key, item| [key, item, "#{at(name)}.#{key}"] }
    end

    def skip(*names) = @asked.concat(names)
    def fault(where, problem) = report.faults << "#{where}: #{problem}"
    def at(name) = path.empty? ? name : "#{path}.#{name}"
    def given?(name) = @data.key?(name)

    # A list as it stands in the file; empty where it is none.
    def raw(name) = @data[name].is_a?(Array) ? @data[name] : []

    # Notes the keys that nobody asked for.
    def close = (@data.keys - @asked - ["format"]).each { |key| report.notes << "#{at(key)}: unknown, ignored" }

    def nested(item, where)
      fields = Fields.new(item, where, report)
      result = yield fields
      fields.close
      result
    end

    private

    # Zero bytes no keyboard types and no database keeps: in a text, or in one of a list.
    def zero?(value) = Array(value).any? { |each| each.is_a?(String) && each.include?("\0") }

    def id(item, where)
      found = item.is_a?(Hash) ? item["id"] : item
      return found.to_s if (found.is_a?(String) && !zero?(found)) || found.is_a?(Integer)

      fault(where, "must be an id, got #{Fields.shown(item)}")
      nil
    end

    def read(name, default, wanted)
      @asked << name
      value = @data[name]
      return default if value.nil? && !default.equal?(MISSING)
      return value if !value.nil? && !zero?(value) && yield(value)
      return if @void

      fault(at(name), "must be #{wanted}, got #{Fields.shown(value)}")
      default.equal?(MISSING) ? nil : default
    end
  end
end
