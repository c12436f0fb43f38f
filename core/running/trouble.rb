# frozen_string_literal: true

module Core
  module Running
    # A trouble spot: where something went wrong in a run. count: of the piece (Rational, from 1); kind: one of KINDS or
    # nil where it was not said; people, groups: ids of whoever it was; everyone: whether it was all of them. Where none
    # of these was said, who it was is not known.
    class Trouble < Values::Value.of(:id, :count, kind: nil, people: [].freeze, groups: [].freeze, everyone: false)
      KINDS = %w[forgot timing spacing late collision energy].freeze

      # Whether it was said who it was.
      def known? = everyone || people.any? || groups.any?

      # Whether the same people may be meant: whoever is not known may be anybody.
      def same_people?(other)
        return true unless known? && other.known?

        everyone || other.everyone || people.intersect?(other.people) || groups.intersect?(other.groups)
      end

      # Ids of those it was; nil where that is not known. cast: {person => [group ids]}.
      def who(cast)
        return unless known?
        return cast.keys if everyone

        people | cast.select { |_, own| own.intersect?(groups) }.keys
      end

      private

      def settle
        return if kind.nil? || KINDS.include?(kind)

        raise ValueError.new("kind", "must be one of #{KINDS.join(', ')}, got #{kind.inspect}")
      end
    end
  end
end
