# frozen_string_literal: true

module App
  module Joins
    # "Seated (Wren Hale): not known, nobody has written Comb seated."
    class VersionWording
      # standing: Core::Joins::Versions::Standing; people: {id => Records::Person}.
      def initialize(standing, join, work, people)
        @standing = standing
        @words = Shared::JoinWording.new(join, work)
        @people = people
      end

      def text
        return I18n.t("joins.version.missing", who:, section: @standing.missing.name) if @standing.missing
        return I18n.t("joins.version.fits", who:) if @standing.open.empty?

        I18n.t("joins.version.open", who:, what: @words.sentence(@standing.open.first))
      end

      private

      def who
        kinds = (@standing.kinds - [Core::Joins::Versions::TAUGHT]).uniq.map { |kind| I18n.t("versions.#{kind}") }
        names = @standing.people.filter_map { |id| @people[id]&.name }.sort
        I18n.t("joins.version.who", kinds: kinds.join(", "), people: Shared::Lists.all(names))
      end
    end
  end
end
