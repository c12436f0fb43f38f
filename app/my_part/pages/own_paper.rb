# frozen_string_literal: true

module App
  module MyPart
    module Pages
      # A dancer's own sheet: when they are called, what to bring, their links in order with how far they have each,
      # what leads on.
      class OwnPaper < Show
        Print = Formats::Print
        private_constant :Print
        MOST_CHANGES = 4

        # code: whether a code for a camera stands on it, where the family was given a word for the page behind it.
        def initialize(person, now, code: false)
          super(person, now)
          @code = code && person.sheet_token
        end

        # Formats::Print::Sheet
        def paper
          blocks = [*call_blocks, *pieces.flat_map { |mine| piece_blocks(mine) }, *code_block, care]
          Print::Sheet.new(title: person.name, lines: [studio_name], blocks:, foot: Shared::Paper.foot(@studio, @now))
        end

        private

        def care = Print::Words.new(text: I18n.t("papers.own_care"), small: true)

        def code_block
          return [] unless @code

          modules = RQRCodeCore::QRCode.new("#{Settings.app_url}/sheet/#{@code}", level: :m).modules
          [Print::Code.new(modules:, label: I18n.t("papers.code"))]
        end

        def call_blocks
          heading = Print::Heading.new(I18n.t("papers.calls"))
          return [heading, Print::Words.new(text: I18n.t("papers.no_calls"))] if calls.empty?

          rows = calls.map do |call, rehearsal|
            times = [call.arrive, call.release].map { |minute| Formats::Times.clock(minute) }
            [Shared::Dates.day(rehearsal.date), *times, rehearsal.rooms.map(&:name).join(", ")]
          end
          columns = Shared::Paper.headed(["day", 25], ["be_there", 20], ["go_home", 20], ["room", 35])
          told = changes.any? ? [Print::Points.new(changes.first(MOST_CHANGES))] : []
          [heading, Print::Table.new(columns:, rows:, bold: 0), *told, *bring_block]
        end

        def bring_block
          bring.empty? ? [] : [Print::Words.new(text: I18n.t("papers.to_bring", what: bring.join(", ")))]
        end

        def piece_blocks(mine)
          [Print::Heading.new([mine.title, *mine.groups].join(" · ")), links_table(mine), *owed_block(mine),
           *notes_block(mine)]
        end

        def links_table(mine)
          rows = mine.places.map do |place|
            what = place.mine ? "#{place.word}#{place.own_version}" : I18n.t("papers.not_in_it")
            [place.index.to_s, place.name, place.at, I18n.t("papers.counts", count: place.counts), what]
          end
          columns = Shared::Paper.headed(["number", 6], ["link", 34], ["music", 14], ["counts", 16], ["have", 30])
          Print::Table.new(columns:, rows:, bold: 1)
        end

        def owed_block(mine)
          return [] if mine.owed.empty?

          items = mine.owed.map { |owed| ["#{owed.name}: #{owed.word}", owed.step].compact.join(" · ") }
          [Print::Heading.new(I18n.t("papers.owed")), Print::Points.new(items)]
        end

        def notes_block(mine)
          return [] if mine.notes.empty?

          items = mine.notes.map { |note| [note.section&.name, note.text].compact.join(": ") }
          [Print::Heading.new(I18n.t("papers.own_notes")), Print::Points.new(items)]
        end
      end
    end
  end
end
