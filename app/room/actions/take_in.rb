# frozen_string_literal: true

module App
  module Room
    module Actions
      # Takes in what a device kept, in the order in which it was said; each entry once, however often it is sent. Every
      # entry is written in a transaction of its own and answered after its commit: stored, duplicate, or refused with a
      # sentence. One that fails is refused, so that it holds up nothing that was said after it.
      class TakeIn
        # A device sends no more at once.
        MOST = 60
        # Days behind it for which a rehearsal still takes in what a device kept.
        DAYS = 7
        KINDS = {
          "here" => SayHere, "newcomer" => AddNewcomer, "step" => MoveOn, "pass" => CountPass, "tick" => Tick,
          "note" => KeepNote, "answer" => AnswerNote, "undo" => Undo, "run" => BeginRun, "run_step" => StepRun,
          "trouble" => MarkTrouble, "word" => WordTrouble
        }.freeze

        # entries: [{"client", "kind", "at", …}].
        def initialize(rehearsal, member, entries, now)
          @rehearsal = rehearsal
          @member = member
          @entries = entries.first(MOST)
          @now = now
        end

        # [{client:, status: "stored", "duplicate" or "refused", why:}].
        def run = @entries.map { |values| answer(Sent.new(@member.studio, values)) }

        private

        def answer(sent)
          status = sent.readable? ? refusal(sent) || written(sent) : :unreadable
          refused = !%i[stored duplicate].include?(status)
          { client: sent.client, status: refused ? :refused : status, why: (said(status) if refused) }.compact
        end

        def refusal(sent)
          return :key unless sent.key?
          return :kind unless KINDS.key?(sent.kind)
          return :not_yet if @rehearsal.date > @now.to_date

          :over if @rehearsal.date < @now.to_date - DAYS
        end

        # What two do at once may have to be begun again.
        def written(sent, tries: 3)
          Records::Base.transaction { KINDS.fetch(sent.kind).new(@rehearsal, @member, sent, @now).run }
        rescue ActiveRecord::TransactionRollbackError
          raise if tries.zero?

          written(sent, tries: tries - 1)
        rescue ActiveRecord::RecordInvalid => e
          e.record.errors.full_messages.first
        rescue StandardError => e
          raise if Records::DatabaseAway.behind?(e)

          SemanticLogger["Room"].error("entry of kind #{sent.kind}", e)
          :fault
        end

        def said(status)
          return status if status.is_a?(String)

          I18n.t("room.refused.#{status}", day: Shared::Dates.day(@rehearsal.date))
        end
      end
    end
  end
end
