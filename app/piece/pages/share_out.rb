# frozen_string_literal: true

module App
  module Piece
    module Pages
      # What the piece is made of and who teaches what.
      class ShareOut < Reading::PiecePage
        Load = Struct.new(:person, :sections, :eights, :minutes, :share, keyword_init: true)

        def screen = :share_out

        # [[step, what its button shows, what it says], …] of one link by hand.
        def link_steps
          [
            %w[earlier ↑ earlier],
            %w[later ↓ later],
            ["mirror", "other side", "other side"],
            ["remove", "take out", "take out"]
          ]
        end

        def echo_text(link)
          return I18n.t("echo.#{link.echo}") unless link.echo == :altered

          only = link.link.only
          return I18n.t("echo.only", eights: only.uniq.join("–")) if only

          I18n.t("echo.altered", eights: link.link.changes.touched.join("·"))
        end

        # Where a placed section has no length yet, the total is only what is known of it.
        def total = I18n.t(open_lengths? ? "structure.least" : "structure.sum", counts: order.total_counts)
        def open_lengths? = order.links.any? { |link| link.section.rows.empty? }
        def findings = Core::Piece::MusicFit.new(work).findings.map { |finding| Shared::Wording.music(finding) }
        def unplaced = work.unplaced
        def sections = work.sections
        def form = FormPicture.new(self)
        def seconds_of(section) = order.links.select { |link| link.section.id == section.id }.sum(&:seconds)
        def links_of(section) = order.links.select { |link| link.section.id == section.id }

        def length_text(section)
          written = Core::Piece::LengthText.render(section.rows.map(&:counts))
          return written unless written.empty?

          rows[section.id].said_length.presence || I18n.t("structure.length_unknown")
        end

        # Names the list gives whom the studio does not have.
        def strangers(section = nil)
          (section ? [rows[section.id]] : rows.values).flat_map(&:said_teachers).uniq
        end

        # Remarks of the list that are of no section, and no facts of the piece.
        def remarks
          texts = piece.setting("remark_lines").map { |line| line["text"] }
          texts.reject { |text| text == piece.title || Core::Piece::Listing::Facts.of(text).any? }
        end

        def new_eights = Shared::Amount.of(loads.sum(&:eights))

        def loads
          @loads ||= begin
            shares = Core::Planning::Load.new(work, minutes: ->(section) { lesson(section).minutes }).shares
            most = shares.map(&:eights).max.to_f
            shares.map do |s|
              Load.new(
                person: teacher(s.choreographer),
                sections: s.sections,
                eights: s.eights,
                minutes: s.minutes,
                share: most.zero? ? 0 : s.eights / most
              )
            end
          end
        end

        # Before anybody is cast, minutes are those of a group nobody has said the size of.
        def grows? = items.everybody.empty? && sections.any?
        def load_bar(load) = LoadBar.svg(load)
        def minutes(section) = lesson(section)
        def expected(section) = section.expected_counts && section.expected_counts != section.counts
        def rows = @rows ||= piece.sections.index_by(&:id)
        def revision = piece.revisions.maximum(:number)
      end
    end
  end
end
