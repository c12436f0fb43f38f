# frozen_string_literal: true

module App
  module Doors
    module Actions
      # What somebody of a team wants by mail, topic by topic. What is no way is left as it stands.
      class ChooseMail
        # sent: {topic => way}.
        def initialize(membership, sent)
          @membership = membership
          @sent = sent.to_h
        end

        def run
          wanted = @sent.slice(*Records::Membership::TOPICS.keys)
            .select { |_, way| Records::Membership::MAIL_WAYS.include?(way) }
          @membership.update!(mail_ways: @membership.mail_ways.merge(wanted))
        end
      end
    end
  end
end
