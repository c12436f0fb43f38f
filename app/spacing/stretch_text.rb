# frozen_string_literal: true

module App
  module Spacing
    # What a group does besides its moves, as typed: "9-16 hold, 17-20 off, 3 free".
    module StretchText
      DOING = {
        "hold" => :holding,
        "holds" => :holding,
        "holding" => :holding,
        "free" => :free,
        "freestyle" => :free,
        "off" => :off,
        "out" => :off,
        "move" => :moving,
        "moves" => :moving
      }.freeze
      WORDS = { holding: "hold", free: "free", off: "off", moving: "move" }.freeze
      TERM = /\A(?<from>-?\d{1,4})(?:\s*[-–]\s*(?<to>\d{1,4}))?\s+(?<doing>[a-z]+)\z/i

      module_function

      # [[from, to, doing], …], or nil when a term cannot be read.
      def parse(text)
        found = text.to_s.split(/[,;\n]/).map(&:strip).reject(&:empty?).map { |term| one(TERM.match(term)) }
        found if found.all?
      end

      def render(stretches)
        stretches
          .map { |from, to, doing| "#{from == to ? from : "#{from}-#{to}"} #{WORDS.fetch(doing.to_sym)}" }
          .join(", ")
      end

      def one(match)
        doing = match && DOING[match[:doing].downcase] or return
        from = match[:from].to_i
        to = (match[:to] || match[:from]).to_i
        [from, to, doing] if from <= to
      end
      private_class_method :one
    end
  end
end
