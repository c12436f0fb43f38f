# frozen_string_literal: true

module App
  module Learning
    module Actions
      # Gives the queue of a choreographer who is away into somebody's hands until a day.
      class HandOver
        MOST = 366

        # sent: {"person" => whose queue, "member" => whose membership takes it, "until" => a date}.
        def initialize(member, sent, today)
          @member = member
          @studio = member.studio
          @sent = sent
          @today = today
        end

        # Value: Records::HandOver.
        def run
          person = @studio.people.choreographers.find_by(id: id("person"))
          taker = @studio.memberships.find_by(id: id("member"))
          day = Shared::Dates.parse(@sent["until"], within: @today..(@today + MOST))
          return no("who") if person.nil? || taker.nil? || taker.person_id == person.id
          return no("day") if day.nil?

          Shared::Result.ok(keep(person, taker, day))
        end

        private

        def id(name) = @sent[name].to_s[/\A\d{1,18}\z/]
        def no(key) = Shared::Result.no({ error: I18n.t("sign_offs.faults.#{key}") })

        # One person's queue is in one pair of hands.
        def keep(person, taker, day)
          now = Shared::Clock.now
          Records::HandOver.transaction do
            @studio.hand_overs.where(person_id: person.id, ended_at: nil).update_all(ended_at: now)
            @studio.hand_overs.create!(person:, membership: taker, until_day: day, by_name: @member.account.name,
                                       created_at: now)
          end
        end
      end
    end
  end
end
