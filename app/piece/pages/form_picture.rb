# frozen_string_literal: true

module App
  module Piece
    module Pages
      # The music's own form over the links, on one axis of counts.
      class FormPicture
        WIDTH = 1224
        def initialize(page) = @page = page

        def any? = @page.work.track.form.any?

        def svg
          links = @page.order.links.map { |link| link_box(link) }
          parts =
            @page.work.track.parts.map do |name, from, to|
              box(from: from.to_f, counts: (to - from + 1).to_f, y: 4, height: 24, css: "part-box", name:)
            end
          patterns = Shared::Tape.patterns(@page.order.links.map { |link| @page.tape(link.section) }, "form")
          Shared::Drawing.drawing(
            WIDTH,
            70,
            patterns + parts.join + links.join,
            label: I18n.t("music.form_over_links"),
            class: "form-picture"
          )
        end

        private

        def link_box(link)
          tape = Shared::Tape.fill(@page.tape(link.section), "form")
          box(
            from: link.start_beat.to_f,
            counts: link.link.beats.to_f,
            y: 36,
            height: 30,
            css: "link-box",
            name: link.name,
            tape:
          )
        end

        def scale = @scale ||= WIDTH / [@page.work.track.form.sum(&:last), @page.order.total_beats, 1].max.to_f

        def box(from:, counts:, y:, height:, css:, name:, tape: nil)
          x = (from - 1) * scale
          width = [(counts * scale) - 2, 1].max
          strip = tape ? Shared::Drawing.tag(:rect, x:, y:, width:, height: 5, fill: tape) : ""
          label =
            width > name.length * 6.6 ? Shared::Drawing.text(name, x: x + 6, y: y + height - 8, class: "box-name") : ""
          Shared::Drawing.tag(
            :g,
            Shared::Drawing.title("#{name}, #{counts.to_i} counts") +
              Shared::Drawing.tag(:rect, x:, y:, width:, height:, class: css) + strip + label
          )
        end
      end
    end
  end
end
