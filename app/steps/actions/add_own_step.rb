# frozen_string_literal: true

module App
  module Steps
    module Actions
      # A studio's own word for a step, built from a known one. Where it would make somebody else's lines read
      # otherwise, or takes the name of a step everybody knows, it is proposed to the directors, who are told by mail.
      class AddOwnStep
        def initialize(member, params)
          @member = member
          @studio = member.studio
          @params = params
        end

        # One at a time in a studio: two people adding the same word are told, not shown an error. Value: the word.
        def run
          @studio.alone(:words) do
            word = typed
            next Shared::Result.no({ name: I18n.t("names.taken") }) if taken?(word)
            next Shared::Result.no(faults(word)) unless word.valid?

            word.proposed_at = Shared::Clock.now unless WordPolicy.new(@member, word).settle?
            word.save!
            tell(word) if word.proposed?
            Shared::Result.ok(word)
          end
        end

        private

        def typed
          Records::OwnStep.new(
            studio: @studio,
            name: @params["name"],
            like: Core::Movement::Vocabulary::DEFAULT.find(@params["like"].to_s)&.name,
            counts: @params["counts"].presence,
            account_id: @member.account_id,
            by_name: @member.account.name
          )
        end

        def taken?(word) = @studio.own_steps.where("lower(name) = ?", word.name.to_s.downcase).exists?

        def faults(word)
          {
            name: (I18n.t("names.name") if word.errors[:name].any?),
            like: (I18n.t("names.like") if word.errors[:like].any?),
            counts: (I18n.t("names.counts") if word.errors[:counts].any?)
          }.compact
        end

        def tell(word)
          @studio.memberships.where(role: "director").includes(:account).each do |place|
            Shared::Post.new(@studio).tell(
              place,
              topic: "steps",
              template: "word_proposed",
              by: word.by_name,
              word: word.name,
              like: word.like,
              link: Settings.app_url
            )
          end
        end
      end
    end
  end
end
