# frozen_string_literal: true

module App
  module Home
    module Pages
      # The studio's pieces as small chains, the next rehearsal, and what needs a decision.
      class Show
        # So many decisions about pieces stand before those about the season.
        SHOWN = 7
        attr_reader :member, :now

        def initialize(member, now)
          @member = member
          @now = now
        end

        def title = I18n.t("ways.home")
        def screen = :home
        def studio = member.studio
        def director? = member.director?

        # Whose page it is: who teaches sees their own work, an assistant the next rehearsal, a director the whole.
        def view
          return "choreographer" if member.role == "choreographer" && own_work.sections.any?

          member.role == "assistant" && rehearsal ? "assistant" : "whole"
        end

        # The first steps, as long as they are not all taken.
        def way = @way ||= Shared::Way.new(member).then { |way| way if way.open? }

        def own_work = @own_work ||= OwnWork.new(self)

        # The call sheet of the rehearsal under way, or of the next.
        def sheet = @sheet ||= Reading::RehearsalSheet.new(rehearsal, member, now)
        def today? = rehearsal.date == now.to_date

        def pieces
          running = all_pieces.reject { |piece| piece.archived? || piece.sample }
          @pieces ||= running.map { |piece| PieceCard.new(piece, member, now) }
        end

        def archived = @archived ||= all_pieces.select(&:archived?).sort_by(&:title)
        # The sample piece to look round, or nil.
        def sample = all_pieces.find(&:sample)
        def season = @season ||= Reading::SeasonSnapshots.of(studio, now)

        # The one under way, or the next.
        def rehearsal
          minute = (now.hour * 60) + now.min
          season.ahead.find { |each| each.date > now.to_date || each.end_minute > minute }
        end

        def rehearsal_slots
          return [] unless rehearsal

          season.memo([:work, rehearsal.id]) { Reading::StandingSlots.standing(studio, [rehearsal]).select(&:work?) }
        end

        # [[text, path, title of its piece], …]. A piece that cannot be read is the first thing to decide about.
        def decisions
          @decisions ||= begin
            of_pieces = pieces.flat_map { |card| decisions_of(card) }
            [*names_waiting, *unconfirmed, *proposed_words, *of_pieces.first(SHOWN), *nobody_called, *not_said,
             *of_pieces.drop(SHOWN)]
          end
        end

        # What the joins ask of this member, those for the next rehearsal first: [Reading::OpenQuestions::One].
        def questions
          @questions ||= pieces.flat_map { |card| questions_of(card) }.sort_by.with_index do |one, i|
            [rehearsed.include?(one.section.id) ? 0 : 1, i]
          end
        end

        # Evenings behind of which nobody said how they went, the latest first: [[sentence, path, studio's name]], one
        # line for all of them.
        def unconfirmed
          return [] if member.role == "choreographer"

          evenings = season.memo([:unconfirmed, now.to_date]) { Reading::Unconfirmed.of(studio, season.recent) }
          return [] if evenings.empty?

          words = { day: Shared::Dates.day(evenings.first.date), count: evenings.size - 1 }
          text = I18n.t(evenings.one? ? "decisions.unconfirmed" : "decisions.unconfirmed_several", **words)
          [[text, "/rehearsals/#{evenings.first.id}/afterwards", studio.name]]
        end

        private

        def all_pieces = @all_pieces ||= studio.pieces.includes(:track).order(:show_date, :id).to_a
        def rehearsed = @rehearsed ||= rehearsal_slots.flat_map(&:section_ids)

        # A piece that cannot be read asks nothing.
        def questions_of(card)
          card.questions
        rescue StandardError => e
          SemanticLogger["Web"].error("contained: #{card.title}", e)
          []
        end

        # First names of people who were erased, still standing in sentences: the director's to say whose they are.
        def names_waiting
          return [] unless member.director?

          studio.people.where.not(names_waiting: []).map do |person|
            [I18n.t("decisions.names_waiting", names: person.names_waiting.join(", ")), "/people/#{person.id}/kept",
             studio.name]
          end
        end

        # Evenings that are booked and to which nobody is called: give them back, leave them empty, use them.
        def nobody_called
          return [] unless member.director?

          evenings = season.memo([:nobody_called, now.to_date]) { Reading::EmptyEvenings.of(studio, season.ahead) }
          return [] if evenings.empty?

          words = { day: Shared::Dates.day(evenings.first.date), count: evenings.size - 1 }
          text = I18n.t(evenings.one? ? "decisions.nobody_called" : "decisions.nobody_called_several", **words)
          [[text, "/season", studio.name]]
        end

        # How many have not said when they can come: names only behind a tap, for the director and the assistant.
        def not_said
          return [] unless director? || member.role == "assistant"

          count = season.memo([:not_said, now.to_date]) { Reading::NotSaid.new(studio, now.to_date).people.size }
          count.zero? ? [] : [[I18n.t("not_said.line", count:), "/season/who#not-said", studio.name]]
        end

        # Words that choreographers propose: the director's to take in.
        def proposed_words
          return [] unless member.director? && pieces.any?

          studio.own_steps.proposed.order(:proposed_at).map do |word|
            [I18n.t("decisions.word", name: word.name, by: word.by_name), pieces.first.path("/names"), studio.name]
          end
        end

        def decisions_of(card)
          card.decisions.map { |text, path| [text, path, card.piece.title] }
        rescue StandardError => e
          SemanticLogger["Web"].error("contained: #{card.title}", e)
          [[I18n.t("decisions.sick"), card.path("/steps"), card.piece.title]]
        end
      end
    end
  end
end
