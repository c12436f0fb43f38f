# frozen_string_literal: true

module App
  module MyPart
    module Actions
      # A dancer says what they have: a line of the log that waits for whoever teaches it, and lifts nothing by itself.
      class Report
        # sent: {"piece", "item", "rung", "client" => the phone's own key for it, or nothing}.
        def initialize(person, sent, now)
          @person = person
          @studio = person.studio
          @sent = sent
          @now = now
        end

        def run
          return Shared::Result.ok(nil) if key && @studio.ledger_entries.exists?(client_id: key)
          return no("off") unless @studio.setting("self_reports")

          piece = @studio.pieces.running.find_by(id: @sent["piece"].to_s[/\A\d{1,18}\z/])
          item = piece && mine(piece)
          return no("not_yours") if item.nil?
          return no("which") unless rung&.between?(1, Records::Mapping::Learnings.ladder(piece).top)

          unless said?(piece, item)
            Records::Mapping::Learnings.append(piece, [entry(piece, item)])
            tell(piece, item)
          end
          Shared::Result.ok(item)
        end

        private

        # Those for whom it waits.
        def tell(piece, item)
          order = Reading::PieceSnapshots.of(piece).work.order
          @studio.memberships.includes(:account).each do |membership|
            next unless Learning::SignOffPolicy.new(membership, piece, order, @studio.today(@now)).own?(item)

            Shared::Post.new(@studio).tell(
              membership, topic: "sign_offs", template: "reported", who: @person.name, what: item.name,
                          rung: Shared::Ring.word(rung), piece: piece.title,
                          link: "#{Settings.app_url}/pieces/#{piece.id}/who-has-it/sign-offs"
            )
          end
        end

        def no(key) = Shared::Result.no({ error: I18n.t("my_part.faults.#{key}") })
        def rung = Integer(@sent["rung"].to_s, exception: false)

        # Whether that was said already and waits: said twice, it is so once.
        def said?(piece, item)
          Records::Mapping::Learnings.progress(piece, people: [@person.id]).cell(@person.id, item.key).reported == rung
        end

        def mine(piece)
          Reading::PieceSnapshots.of(piece).items.for(@person.id).find { |item| item.key == @sent["item"] }
        end

        def entry(piece, item)
          Shared::LogLine.of(piece, nil, @studio.today(@now), by_name: @person.name).merge(
            person_id: @person.id, item_key: item.key, kind: "self_reported", rung:, client_id: key
          )
        end

        # Sent twice it is taken in once, whatever was said since.
        def key
          client = @sent["client"].to_s[/\A[0-9a-z]{8,40}\z/]
          client && "said:#{@person.id}:#{client}"
        end
      end
    end
  end
end
