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
          @piece.with_lock do
            form = EndsForm.of(@piece, @which, @params)
            @given = form.merged
            next Shared::Result.no({ base: I18n.t("forms.both") }, form) if form.conflicts.any?
            next Shared::Result.no({ held: I18n.t("joins.held") }, form) if odd_hold?

            @piece.update!(settings: @piece.settings.merge(@which => values))
            Shared::Result.ok
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
