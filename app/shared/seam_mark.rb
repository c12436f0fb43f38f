# frozen_string_literal: true

module App
  module Shared
    # The mark of a verdict: two rings that interlock, that barely touch, that touch with a question, or a crack.
    module SeamMark
      module_function

      # size: pixels high; the mark is half as wide again.
      def svg(state, size: 24)
        Drawing.tag(
          :svg,
          title(state) + public_send(state),
          viewBox: "0 0 36 24",
          width: size * 1.5,
          height: size,
          role: "img",
          class: "seam-mark seam-#{state}"
        )
      end

      # The shapes of a mark around 18, 12, to be put into another drawing.
      def fits = rings(13, 23)
      def agreed = rings(13, 23) + Drawing.tag(:path, d: "M14.5 12.5l2.6 2.6 4.6-5.4", class: "seam-tick")
      def caution = rings(10.2, 25.8)
      def changed = rings(13, 23) + Drawing.tag(:path, d: "M14 0h8l-4 5z", class: "seam-notch")

      def question
        Drawing.tag(:circle, cx: 18, cy: 12, r: 9, class: "seam-ring") +
          Drawing.text("?", x: 18, y: 16.5, text_anchor: "middle", class: "seam-asks")
      end

      def clash = Drawing.tag(:path, d: "M20 1l-6 6 8 4-8 4 6 6", class: "seam-crack")
      def apart = rings(8, 28)
      def joined = rings(13, 23)

      # Nothing to compare yet: both rings only sketched.
      def not_written = rings(8, 28)

      def rings(left, right)
        [left, right].map { |cx| Drawing.tag(:circle, cx:, cy: 12, r: 7, class: "seam-ring") }.join
      end

      def title(state) = Drawing.title(I18n.t("joins.verdicts.#{state}"))
    end
  end
end
