# frozen_string_literal: true

module App
  module Joins
    module Actions
      # How a piece opens and how it ends: pose, place, what starts it; the final picture, how long it is held, how
      # everybody leaves.
      class SaveEnds
        def initialize(piece, which, params)
          @piece = piece
          @which = which
          @params = params
        end

        # Value, where something is wrong: the form as it was sent.
        def run
          Shared::SaveForm.run(@piece, -> { EndsForm.of(@piece, @which, @params) }) do |form|
            @given = form.merged
            next { held: I18n.t("joins.held") } if odd_hold?

            @piece.update!(settings: @piece.settings.merge(@which => values))
          end
        end

        private

        def odd_hold? = @which == "ending" && !@given["held"].empty? && !held&.between?(1, 64)

        def values
          words = (EndsForm::WORDS.fetch(@which) - ["held"]).to_h { |name| [name, text(name)] }
          { **words, **stated, "held" => held }.reject { |_, value| value.nil? || value == "" }
        end

        def text(name) = @given[name].gsub(/\s+/, " ").strip[0, 200]
        def held = Integer(@given["held"].to_s, exception: false)

        def stated
          Records::Section::EDGE
            .filter_map do |name, among|
              chosen = among.find { |each| each.to_s == @given[name] }
              [name, chosen] if chosen
            end
            .to_h
        end
      end
    end
  end
end
