# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Says that somebody learns another's part, to step in.
      class NameUnderstudy
        # sent: {"person" => who learns it, "covers" => whose part it is}.
        def initialize(piece, sent)
          @piece = piece
          @sent = sent
        end

        # Value: Records::Understudy.
        def run
          cast = Reading::PieceSnapshots.of(@piece).cast
          person, covers = %w[person covers].map { |name| @sent[name].to_s[/\A\d{1,18}\z/].to_i }
          return no("who") unless cast.key?(person) && cast.key?(covers)
          return no("same") if person == covers

          Shared::Result.ok(row(person, covers))
        end

        private

        def no(key) = Shared::Result.no({ error: I18n.t("understudies.faults.#{key}") })

        # Said twice, it is so once.
        def row(person, covers)
          facts = { studio_id: @piece.studio_id, person_id: person, covers_person_id: covers }
          @piece.understudies.create_or_find_by!(facts) { |row| row.created_at = Shared::Clock.now }
        end
      end
    end
  end
end
