# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The form for a new piece, with what its lines mean so far.
      class New
        attr_reader :errors, :preview

        def initialize(studio, typed = {}, errors = {})
          @typed = typed
          @errors = errors
          @preview = StructurePreview.of(studio, typed)
        end

        def title = I18n.t("pieces.new")
        def screen = :home
        def value(name) = @typed[name].to_s
      end
    end
  end
end
