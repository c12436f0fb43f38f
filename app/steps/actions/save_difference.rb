# frozen_string_literal: true

module App
  module Steps
    module Actions
      # Saves how an altered link differs from its section: eights replaced, dropped, added. Those who had learned the
      # difference are marked when it changes.
      class SaveDifference
        MOST_ADDED = 16

        def initialize(link, params, account, today)
          @link = link
          @piece = link.piece
          @params = params
          @account = account
          @today = today
          @rows = link.section.eights.to_a
        end

        def run
          made = changes
          fault = unreadable(made)
          return Shared::Result.no({ changes: fault }) if fault

          if made.apply(@rows.map { |row| core(row.counts, row.text) }).empty?
            return Shared::Result.no({ changes: I18n.t("changes.nothing_left") })
          end

          Reading::WatchAgreements.around(@piece, @account, @today, items: [own_item]) do
            next Shared::Result.no({ changes: I18n.t("changes.taken") }) if taken?

            Shared::Result.ok(save(made))
          end
        rescue Core::ValueError
          Shared::Result.no({ changes: I18n.t("changes.counts") })
        end

        private

        def unreadable(made)
          rows = [*made.replace.values, *made.insert_after.values.flatten]
          Unreadable.fault(rows.map(&:text), @piece.studio.vocabulary)
        end

        def own_item = Core::Values::ItemKey.difference(@link.id).to_s

        # Whether somebody else changed the piece since the form was opened.
        def taken? = @params["lock_version"].to_i != @piece.lock_version

        def changes
          Core::Piece::Changes.new(replace: replaced, drop: dropped, insert_after: added)
        end

        def given(name, number) = (@params.dig("rows", number.to_s, name) || "").to_s.scrub("?").strip[0, 1000]
        def numbers = (1..@rows.size)
        def dropped = numbers.select { |n| given("drop", n) == "1" }

        def replaced
          numbers
            .reject { |n| dropped.include?(n) || given("text", n).empty? }
            .to_h { |n| [n, core(counts(n), given("text", n))] }
        end

        def added
          (0..@rows.size)
            .to_h { |n| [n, given("added", n).split(%r{\s*//\s*}).reject(&:empty?).first(MOST_ADDED)] }
            .reject { |_, texts| texts.empty? }
            .transform_values { |texts| texts.map { |text| core(8, text) } }
        end

        def counts(number) = Integer(given("counts", number), exception: false) || @rows[number - 1].counts
        def core(counts, text) = Core::Piece::Row.new(counts:, text:)

        def save(made)
          before = @link.changes_made
          @link.update!(changes_made: Records::Mapping::Works.made(made))
          count = before == @link.changes_made ? 0 : mark(made)
          @piece.touch
          Shared::KeepRevision.new(@piece, @account).record("#{@link.section.name}: changes in link #{@link.position}")
          I18n.t(count.positive? ? "changes.saved_marked" : "changes.saved", count:)
        end

        def mark(made) = Shared::MarkChanged.new(@piece, own_item, made.touched, @account, @today).run
      end
    end
  end
end
