# frozen_string_literal: true

module App
  module Files
    module Pages
      # Everything of a piece that can be taken along as a file.
      class Piece < Reading::PiecePage
        attr_reader :errors, :typed

        # errors, typed: of the form of a copy that was refused.
        def initialize(errors: {}, typed: {}, **rest)
          super(**rest)
          @errors = errors
          @typed = typed
        end

        def screen = :share_out
        def copy_title = I18n.t("pieces.copy_title", title: piece.title)[0, 80]

        def title = "#{I18n.t('files.title')} · #{piece.title}"

        # [[words, path without ending], …] of what is printed whole.
        def sheets
          { "build" => "/plan/build", "who_has_it" => "/who-has-it", "notes" => "/notes" }
            .map { |name, tail| [I18n.t("files.sheets.#{name}"), path(tail)] }
        end

        def count_sheets = work.sections.map { |section| [section.name, path("/steps.pdf?section=#{section.id}")] }
        def join_sheets = snapshot.joins.map { |join| [join.name, path("/joins/#{join.index}/sheet.pdf")] }

        def pictures
          { "spine" => "/files/spine", "build" => "/plan/build" }
            .map { |name, tail| [I18n.t("files.pictures.#{name}"), path(tail)] }
        end

        def tables = Tables::OF_PIECE.keys.map { |name| [name, I18n.t("files.about.#{name.tr('-', '_')}")] }
      end
    end
  end
end
