# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Signs off an item for those who are named, each at the rung they report or have; or tells them: not yet.
      class SignOff
        # sent: {"item", "people" => [id, …], "answer" => "not_yet" or anything else}.
        def initialize(piece, member, sent, today)
          @piece = piece
          @member = member
          @key = sent["item"].to_s
          @people = Array(sent["people"]).filter_map { |id| Integer(id, exception: false) }
          @no = sent["answer"] == "not_yet"
          @today = today
        end

        # Value: how many.
        def run
          found = waiting or return Shared::Result.no({ error: I18n.t("sign_offs.gone") })
          return Shared::Result.no({ error: I18n.t("learning.not_yours") }) unless policy.item?(found.item)

          people = found.people & @people
          people &= found.reported.keys if @no
          return Shared::Result.no({ error: I18n.t("sign_offs.nobody") }) if people.empty?

          Records::Mapping::Learnings.append(@piece, people.map { |person| entry(person, found) })
          Shared::Result.ok(people.size)
        end

        private

        def snapshot = @snapshot ||= Reading::PieceSnapshots.of(@piece)
        def policy = SignOffPolicy.new(@member, @piece, snapshot.work.order, @today)

        def waiting
          Core::Learning::SignOffs.new(snapshot.items, snapshot.progress).all.find { |each| each.item.key == @key }
        end

        def entry(person, found)
          rung = found.reported.fetch(person) { snapshot.progress.rung(person, @key) }
          Shared::LogLine.of(@piece, @member.account, @today).merge(
            person_id: person,
            item_key: @key,
            kind: @no ? "corrected" : "signed_off",
            rung: @no ? 0 : rung
          )
        end
      end
    end
  end
end
