# frozen_string_literal: true

module App
  module Runs
    module Pages
      # How runs, trouble and drills are said.
      module Wording
        # "Tue 24 Nov, with music"
        def run_name(row) = I18n.t("runs.name", day: Shared::Dates.day(row.rehearsal.date), kind: kind(row.kind))
        def kind(name) = I18n.t("runs.kinds.#{name}")
        def trouble_kind(name) = name ? I18n.t("runs.troubles.#{name}") : I18n.t("runs.unsaid")

        # Where it starts, and what tells.
        def verdict(found)
          I18n.t("runs.verdicts.#{found.verdict}", join: found.join ? join_name(found.join) : "")
        end

        def reason(found) = I18n.t("runs.why.#{found.why}", count: [found.times, 1].max, default: "")

        # "the join into Smoke"
        def join_name(leaving) = I18n.t("runs.into", name: order.links[leaving].name)

        # Whose it was: "Nurses", "Ada and Bram", "everyone", or that nobody said.
        def whose(trouble)
          return I18n.t("runs.everyone") if trouble.everyone
          return trouble.group.name if trouble.group

          ids = trouble.trouble_people.map(&:person_id)
          ids.empty? ? I18n.t("runs.unknown") : Shared::Lists.of(ids.map { |id| people.fetch(id).name }, 4)
        end

        # A run is measured on the piece of its evening. row: Records::Run.
        def longest(row)
          book = book_of(row)
          stretch = clean(row) or return I18n.t("runs.no_clean")
          I18n.t("runs.clean", eights: stretch.counts / 8, from: book.place(stretch.from),
                               to: book.place(stretch.to), length: book.length(stretch.from, stretch.to))
        end

        def clean(row)
          run = book_of(row).run_of(row)
          run && book_of(row).clean(run)
        end

        def book_of(row)
          @books ||= {}
          @books[row.id] ||= Book.new(piece, snapshot, Reading::PieceThen.of_run(row, snapshot))
        end
      end
    end
  end
end
