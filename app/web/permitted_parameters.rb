# frozen_string_literal: true

module App
  module Web
    # What a form or a script may send, by shape: a text where a text is asked for, a list or a table only where a form
    # has one. Anything else is left out before a route sees it, and so are zero bytes, which no keyboard types and no
    # database keeps.
    module PermittedParameters
      LISTS = %w[days groups hazards here out rooms teachers].freeze
      # Tables of texts, of lists of texts, and of tables of texts.
      TEXTS = %w[entry exit minutes people taught].freeze
      CHOICES = %w[cast].freeze
      ROWS = %w[parts rows].freeze
      # Asked for as a text elsewhere.
      EITHER = %w[minutes].freeze
      # Lists that scripts send.
      SENT = %w[cells spots taps].freeze

      module_function

      # Parameters of a form or of an address.
      def form(params) = params.filter_map { |name, value| (kept = field(name, value)).nil? ? nil : [name, kept] }.to_h

      # An object of a script; nothing where it sent something else.
      def sent(data)
        return {} unless data.is_a?(Hash)

        data
          .select { |name, value| SENT.include?(name) ? value.is_a?(Array) : plain?(value) }
          .transform_values { |value| value.is_a?(String) ? text(value) : value }
      end

      def field(name, value)
        case value
        when String then text(value) unless (TEXTS + CHOICES + ROWS - EITHER).include?(name)
        when Array then texts(value) if LISTS.include?(name)
        when Hash then hash(name, value)
        end
      end

      def hash(name, value)
        return value if name == "file" && value["tempfile"].respond_to?(:read)
        return table(value) if TEXTS.include?(name)
        return keep(value, Array) { |list| texts(list) } if CHOICES.include?(name)

        keep(value, Hash) { |row| table(row) } if ROWS.include?(name)
      end

      def table(value) = keep(value, String) { |each| text(each) }

      # What of a table is of a kind.
      def keep(value, kind) = value.select { |_, each| each.is_a?(kind) }.to_h { |key, each| [key.to_s, yield(each)] }

      def texts(values) = values.grep(String).map { |value| text(value) }
      def text(value) = value.include?("\0") ? value.delete("\0") : value
      def plain?(value) = value.is_a?(String) || value.is_a?(Numeric) || [true, false, nil].include?(value)
    end
  end
end
