# frozen_string_literal: true

module App
  module Runs
    module Pages
      # The notes round: what is still to be given, everyone's first, and what was given and is not settled.
      class Notes < Reading::PiecePage
        include Wording

        attr_reader :errors

        def initialize(run_id: nil, typed: {}, errors: {}, **rest)
          super(**rest)
          @run_id = run_id
          @typed = typed
          @errors = errors
        end

        def screen = :runs
        def title = I18n.t("notes.title", piece: piece.title)
        def tick? = Piece::Policy.new(member, piece).tick?
        def book = @book ||= Book.new(piece, snapshot)

        # The run whose notes are shown, or nil where all are.
        def run = @run ||= (piece.runs.standing.find_by(id: @run_id) if @run_id)

        # [Records::Note] for everyone, and for individuals, still to be given.
        def halves = @halves ||= round.core.halves.map { |half| half.map { |note| rows.fetch(note.id) } }

        # Given, and not settled: [Records::Note] in the order of a round.
        def given
          @given ||= closed.select { |row| times(row).positive? && row.kind != "praise" }
        end

        # What is watched for whenever it is danced, and was not given lately: [Records::Note].
        def watched = @watched ||= closed.select { |row| times(row).zero? }

        def minutes = round.core.minutes
        def times(row) = round.given(row)

        # {note id => how often it was given} of those that became a slot for cleaning.
        def cleaning = @cleaning ||= round.core.cleaning.to_h { |note, times| [note.id, times] }

        # Where it is: "Smoke, eight 2, count 5", "Smoke", or "the whole piece".
        def place(row)
          count = book.mapping.note_count(row)
          return I18n.t("notes.whole_piece") unless count
          return book.place(count) if row.at && row.row

          link, eight = book.eights.place_of(count)
          row.row ? book.eight(book.eights.of_place(link, eight)) : order.links[link - 1].name
        end

        # For whom: "Nurses", "Ada Quill", or everyone.
        def whom(row)
          return row.person&.name if row.about == "person"

          row.about == "group" ? row.group&.name : I18n.t("runs.everyone")
        end

        # Trouble spots of the run that nobody has put into words yet: [[place, words, fields of a form], …].
        def unworded
          return [] unless run

          @unworded ||= run.troubles.standing.where.not(kind: nil).includes(:group, :trouble_people).filter_map do |row|
            count = book.count(row) or next
            link, eight, number = book.eights.place_of(count)
            next if noted.include?([link, eight, number])

            [book.place(count), "#{trouble_kind(row.kind)}: #{whose(row)}",
             { link:, eight:, count: number, text: trouble_kind(row.kind), about: about(row), run: run.id }]
          end
        end

        def value(name) = @typed[name].to_s
        def kinds = Round::KINDS
        def links = order.links.map { |placed| [placed.index, "#{placed.index} #{placed.name}"] }
        def groups = piece.groups.to_a
        def dancers = items.everybody.map { |id| people.fetch(id) }.sort_by(&:name)

        # The second of the run's clip at which a note lies, or nil.
        def clip_at(row) = (clip.second(book.mapping.note_count(row)) if run)
        def clip = @clip ||= RunClip.new(self, run)

        private

        def closed = @closed ||= round.core.order.reject(&:open).map { |note| rows.fetch(note.id) }
        def round = @round ||= Round.new(piece, book.mapping, notes:)
        def rows = round.rows

        def notes
          open = piece.notes.open.where(kind: Round::KINDS)
          run ? open.where(run_id: run.id) : open
        end

        def noted
          @noted ||= run.notes.standing.filter_map do |note|
            book.mapping.note_count(note)&.then { |count| book.eights.place_of(count) }
          end
        end

        def about(row)
          return "g#{row.group_id}" if row.group_id

          ids = row.trouble_people.map(&:person_id)
          ids.one? ? "p#{ids.first}" : "all"
        end
      end
    end
  end
end
