# frozen_string_literal: true

require "erb"

module App
  module Shared
    # Builds SVG text; every attribute and text is escaped.
    module Drawing
      module_function

      # tag(:rect, x: 1, y: 2) or tag(:g, class: "x") { "inner" }; a text child goes through text().
      def tag(name, inner = nil, **attributes)
        pairs =
          attributes.compact
            .map { |key, value| %( #{key.to_s.tr('_', '-')}="#{ERB::Util.html_escape(plain(value))}") }
            .join
        inner ? "<#{name}#{pairs}>#{inner}</#{name}>" : "<#{name}#{pairs}/>"
      end

      def text(content, **attributes) = tag(:text, ERB::Util.html_escape(content), **attributes)
      def title(content) = tag(:title, ERB::Util.html_escape(content))

      def drawing(width, height, inner, label:, **attributes)
        tag(
          :svg,
          title(label) + inner,
          xmlns: "http://www.w3.org/2000/svg",
          viewBox: "0 0 #{plain(width)} #{plain(height)}",
          width:,
          height:,
          role: "img",
          **attributes
        )
      end

      # A number without useless digits.
      def plain(value)
        return value.to_s unless value.is_a?(Float) || value.is_a?(Rational)

        rounded = value.to_f.round(1)
        rounded == rounded.to_i ? rounded.to_i.to_s : rounded.to_s
      end
    end
  end
end
