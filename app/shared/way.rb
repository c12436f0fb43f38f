# frozen_string_literal: true

module App
  module Shared
    # The way from nothing to a told plan, as a chain that closes link by link: what is done, what is next and what it
    # gives. A director's goes by itself when the first plan is told, or by a tap; who teaches and who assists have
    # their own first steps until each was taken once.
    class Way
      Step = Struct.new(:key, :done, :path, keyword_init: true) do
        def name = I18n.t("way.steps.#{key}.name")
        def does = I18n.t("way.steps.#{key}.does")
        def gives = I18n.t("way.steps.#{key}.gives")
      end

      def initialize(member)
        @member = member
        @studio = member.studio
      end

      def open? = !@studio.setting("way_closed") && steps.any? && !steps.all?(&:done)
      def next_step = steps.find { |step| !step.done }
      def director? = @member.director?

      # [Step] in order.
      def steps
        @steps ||= case @member.role
                   when "director" then of_a_director
                   when "choreographer" then of_a_choreographer
                   else of_an_assistant
                   end
      end

      private

      def of_a_director
        [
          step(:piece, !piece.nil?, piece ? at("") : "/pieces/new"),
          step(:people, cast?, people_path),
          step(:steps, written?, piece ? at("/steps") : nil),
          step(:rehearsals, @studio.rehearsals.exists?, "/rehearsals"),
          step(:plan, plans.exists?, piece ? at("/plan") : nil),
          step(:told, told?, piece ? at("/plan") : nil)
        ]
      end

      def of_a_choreographer
        return [] unless @member.person_id

        own = @studio.sections.where(choreographer_id: @member.person_id, piece_id: running.select(:id))
        here = own.any? ? "/pieces/#{own.order(:id).first.piece_id}" : nil
        [
          step(:sections, own.any?, here || "/"),
          step(:written, @studio.eights.where(section_id: own.select(:id)).where.not(text: "").exists?,
               here && "#{here}/steps"),
          step(:agreed, @studio.agreements.exists?(account_id: @member.account_id), here && "#{here}/joins"),
          step(:ticked, @studio.ledger_entries.exists?(account_id: @member.account_id), here && "#{here}/who-has-it")
        ]
      end

      def of_an_assistant
        ahead = @studio.rehearsals.standing.order(:date).first
        [
          step(:evening, told?, ahead && "/rehearsals/#{ahead.id}/call-sheet"),
          step(:register, @studio.attendance_entries.exists?(by_name: @member.account.name),
               ahead && "/rehearsals/#{ahead.id}/room")
        ]
      end

      # Those whose roster came before the piece wait to be taken into it.
      def people_path
        return "/roster" unless piece

        @studio.people.on_a_roster.exists? ? at("/groups") : "/roster?piece=#{piece.id}"
      end

      def step(key, done, path) = Step.new(key:, done:, path:)
      def at(tail) = "/pieces/#{piece.id}#{tail}"
      # A sample piece takes no step.
      def running = @studio.pieces.running
      def piece = @piece ||= running.order(:id).first
      def cast? = @studio.castings.exists?(piece_id: running.select(:id))
      def plans = @studio.plans.where(piece_id: running.select(:id))
      def told? = plans.where.not(published_at: nil).exists?

      def written?
        return false unless piece

        sections = @studio.sections.where(piece_id: running.select(:id))
        @studio.eights.where(section_id: sections.select(:id)).where.not(text: "").exists? ||
          !piece.setting("steps_written")
      end
    end
  end
end
