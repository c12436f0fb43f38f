# frozen_string_literal: true

module App
  module Piece
    # A day as a list says it ("14 March", "Sat 6th June 2027"): the next one that is called so, or nil.
    module SaidDate
      module_function

      def of(text, today)
        said = Date._parse(text.to_s[0, 40])
        return unless said[:mon] && said[:mday] && text.match?(/\p{L}{3}|\d{4}/)

        years = said[:year] ? [said[:year]] : [today.year, today.year + 1]
        valid = years.select { |year| Date.valid_date?(year, said[:mon], said[:mday]) }
        valid.map { |year| Date.new(year, said[:mon], said[:mday]) }
          .find { |date| said[:year] || date >= today }
      end
    end
  end
end
