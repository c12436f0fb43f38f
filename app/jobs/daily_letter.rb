# frozen_string_literal: true

module App
  module Jobs
    # Once a day, when the quiet hours are over, everything that waited for somebody in one letter. Run by the worker
    # from time to time; running it twice is harmless.
    module DailyLetter
      EVERY = 300
      GREETING = /\A[^\n]*,\n\n/

      module_function

      def run(now)
        ids = Records::Mail.waiting.distinct.pluck(:membership_id)
        Records::Membership.where(id: ids).includes(:studio, :account).find_each do |membership|
          Chores.alone("the letter of member #{membership.id}") { one(membership, now) }
        end
        Records::Mail.waiting.where(membership_id: nil).update_all(gathered_at: now)
      end

      def one(membership, now)
        studio = membership.studio
        return unless Shared::QuietHours.new(studio).morning?(now)

        membership.with_lock do
          waiting = Records::Mail.waiting.where(membership_id: membership.id).order(:id).to_a
          next if waiting.empty? || waiting.last.created_at > now - WAIT || today?(membership, studio, now)

          send_letter(membership, waiting, now)
          Records::Mail.where(id: waiting.map(&:id)).update_all(gathered_at: now)
        end
      end

      # What came a moment ago may have more behind it.
      WAIT = 60

      # Whether today's letter is out.
      def today?(membership, studio, now)
        last = Records::Mail.where(membership_id: membership.id, topic: "daily").maximum(:created_at)
        last && studio.today(last) == studio.today(now)
      end

      def send_letter(membership, waiting, now)
        account = membership.account
        things = waiting.map { |mail| "#{mail.subject}\n#{mail.body.sub(GREETING, '').strip}" }
        words = { count: waiting.size, name: account.name, studio: membership.studio.name }
        mail = Records::Mail.create!(
          studio: membership.studio, membership:, recipient: account.email, topic: "daily", created_at: now,
          subject: I18n.t("mails.daily.subject", **words),
          body: I18n.t("mails.daily.body", **words, things: things.join("\n\n· · ·\n\n"))
        )
        Deliver.enqueue(mail.id)
      end
    end
  end
end
