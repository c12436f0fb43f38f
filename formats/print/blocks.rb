# frozen_string_literal: true

module Formats
  module Print
    # A heading between blocks.
    Heading = Struct.new(:text) do
      def texts = [text]

      def draw(page)
        page.room(60)
        page.gap(10)
        page.words(text, size: 12, style: :bold)
        page.gap(3)
      end
    end

    # A paragraph. small: for what is said beside the work.
    Words = Struct.new(:text, :small, keyword_init: true) do
      def texts = [text]

      def draw(page)
        page.words(text, size: small ? 8.5 : 10, colour: small ? "555555" : "111111")
        page.gap(4)
      end
    end

    # Lines with a dot before each.
    Points = Struct.new(:items) do
      def texts = items

      def draw(page)
        items.each { |item| page.point(item) }
        page.gap(3)
      end
    end

    # Two stacks of blocks side by side; each has half of the width.
    Halves = Struct.new(:left, :right) do
      def texts = (left + right).flat_map(&:texts)
      def draw(page) = page.beside(left, right)
    end

    # A drawing: standalone SVG text, at most the width of the page.
    Picture = Struct.new(:svg, :label, keyword_init: true) do
      def texts = [label]
      def draw(page) = page.picture(svg)
    end

    # Black squares that a camera reads: modules is a list of rows of true and false. label stands beside.
    Code = Struct.new(:modules, :label, keyword_init: true) do
      def texts = [label]
      def draw(page) = page.code(modules, label)
    end

    # A new page.
    Break = Struct.new(:nothing) do
      def texts = []
      def draw(page) = page.turn
    end

    # Words of any length, each under a line that says what they are about: [[about, words], …]. For hundreds of them,
    # where a table would measure every cell three times.
    Told = Struct.new(:rows) do
      def texts = rows.flatten

      def draw(page)
        rows.each do |about, words|
          page.room(30)
          page.words(about, size: 8, style: :bold, colour: "444444")
          page.words(words, size: 9.5, indent: 12)
          page.gap(3)
        end
        page.gap(5)
      end
    end
  end
end
