# frozen_string_literal: true

module App
  module Planning
    module Changes
      # Root of all kinds of changes.
      class Change < Reading::AsItIs
        # asked: {field => text}, as the form says it.
        def initialize(piece, asked)
          super()
          @piece = piece
          @studio = piece.studio
          @asked = asked
        end

        # Whether enough was said to do it.
        def valid? = false

        # "Without the rehearsal on Tue 9 Feb"
        def text = I18n.t("what_if.#{self.class.name.demodulize.underscore}", **words)

        # Does it for good. account: whose doing it is. {window of the change as it was tried => what it has become}.
        def run(account)
          @account = account
          windows = accept
          @piece.reload.touch
          windows.is_a?(Hash) ? windows : {}
        end

        # What is missing where it is not valid.
        def unread = I18n.t("what_if.unread")

        # Sentences about what else doing it changes.
        def besides = []

        private

        # What the sentence names.
        def words = {}

        def today = @today ||= @studio.today(Shared::Clock.now)
        def id(name) = @asked[name].to_s[/\A\d{1,18}\z/] || -1

        def whole(name, range)
          value = Integer(@asked[name].to_s, exception: false)
          value if range.cover?(value)
        end

        # A date as people write it, no further than a season from today.
        def date(name, from: today)
          Shared::WrittenDates.read(@asked[name], from)&.then { |date| date if date.between?(today, today + 800) }
        end

        def settings(values) = { settings: @piece.settings.merge(values) }

        # Writes what settings and dates would be.
        def accept_facts = @piece.with_lock { @piece.update!(**facts) }
      end
    end
  end
end
