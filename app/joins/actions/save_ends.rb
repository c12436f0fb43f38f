# frozen_string_literal: true

module App
  module Joins
    module Actions
      # How a piece opens and how it ends: pose, place, what starts it; the final picture, how long it is held, how
      # everybody leaves.
      class SaveEnds
        WORDS = { "opening" => %w[pose starts place], "ending" => %w[picture leaves place] }.freeze

        def initialize(piece, which, params)
          @piece = piece
          @which = which
          @params = params
        end

        def run
          if @which == "ending" && held && !held.between?(1, 64)
            return Shared::Result.no({ held: I18n.t("joins.held") })
          end

          @piece.update!(settings: @piece.settings.merge(@which => values))
          Shared::Result.ok
        end

        private

        def values
          words = WORDS.fetch(@which).to_h { |name| [name, @params[name].to_s.gsub(/\s+/, " ").strip[0, 200]] }
          { **words, **stated, "held" => held }.reject { |_, value| value.nil? || value == "" }
        end

        def held = Integer(@params["held"].to_s, exception: false)

        def stated
          Records::Section::EDGE
            .filter_map do |name, among|
              chosen = among.find { |each| each.to_s == @params[name].to_s }
              [name, chosen] if chosen
            end
            .to_h
        end
      end
    end
  end
end
