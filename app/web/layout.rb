# frozen_string_literal: true

module App
  module Web
    # What the layout prints around a page: title, the way about, account, flash.
    class Layout
      STUDIO = [
        [:home, "/"],
        [:people, "/people"],
        [:rehearsals, "/rehearsals"],
        [:season, "/season"],
        [:calls, "/calls"],
        [:room, "/room"],
        [:settings, "/settings"]
      ].freeze
      SCREENS = [
        [:share_out, ""],
        [:steps, "/steps"],
        [:joins, "/joins"],
        [:spacing, "/spacing"],
        [:who_has_it, "/who-has-it"],
        [:plan, "/plan"],
        [:runs, "/runs"],
        [:calls, "/calls"]
      ].freeze
      attr_reader :member, :account, :flash

      # path: where the page can be asked for again; nil where it answers a form that was refused there.
      def initialize(member:, account:, page:, path:, flash:, now:)
        @member = member
        @account = account
        @page = page
        @path = path
        @flash = flash
        @now = now
      end

      # Whose the device is that shows it: kept names are theirs alone (keeping.js). "" says nothing of it.
      def owner
        return "nobody" unless account

        member ? "#{account.id}-#{member.studio_id}" : ""
      end

      # The first steps, beside every page but Home, which shows them large.
      def first_steps
        return if member.nil? || @page.respond_to?(:way)

        @first_steps ||= Shared::Way.new(member).then { |way| way if way.director? && way.open? }
      end

      def title = [@page.title, studio_name, "Join Chain"].compact.uniq.join(" · ")
      def studio_name = member&.studio&.name
      def piece = @page.respond_to?(:piece) ? @page.piece : nil
      def spine = @page.respond_to?(:spine) ? @page.spine : nil
      # Where the links of the spine lead: this page, or the screen it belongs to.
      def here = @path || ways.find { |_, _, current| current }&.fetch(1).to_s

      # A page of somebody's own stands on a phone under an address of its own.
      def manifest = (@page.manifest if @page.respond_to?(:manifest))

      def heading = piece ? piece.title : studio_name
      def wide? = @page.respond_to?(:wide?) && @page.wide?

      def countdown
        days = piece && member && piece.days_to_show(member.studio.today(@now)) or return
        return I18n.t("countdown.past", count: -days) if days.negative?

        days.zero? ? I18n.t("countdown.today") : I18n.t("countdown.days", count: days)
      end

      # [[label, path, current?], …]
      def ways
        if piece
          SCREENS.map { |key, tail| way(key, "/pieces/#{piece.id}#{tail}") }
        else
          STUDIO.map { |key, path| way(key, path) }
        end
      end

      # "OV"
      def initials = account.name.split.first(2).map { |word| word[0] }.join.upcase

      # The way that is shown now, or what there is.
      def way_here = ways.find { |_, _, current| current }&.first || I18n.t("ways.screens")

      private

      def way(key, path) = [I18n.t("ways.#{key}"), path, (@page.respond_to?(:screen) ? @page.screen : nil) == key]
    end
  end
end
