# frozen_string_literal: true

module App
  module Files
    module Pages
      # Everything of a piece that can be taken along as a file.
      class Piece < Shared::PiecePage
        def screen = :share_out
        def title = "#{I18n.t('files.title')} · #{piece.title}"
        def tables = Tables::OF_PIECE.keys.map { |name| [name, I18n.t("files.about.#{name.tr('-', '_')}")] }
      end
    end
  end
end
