# frozen_string_literal: true

module App
  module Shared
    # Mails the teachers on both sides of a join who sign in. Answers how many were told.
    class TellTeachers
      def initialize(piece, join, except: nil)
        @piece = piece
        @join = join
        @except = except
      end

      def run(template, **values)
        post = Post.new(@piece.studio)
        memberships.each do |membership|
          post.tell(
            membership,
            topic: "joins",
            template:,
            piece: @piece.title,
            join: @join.name,
            link: "#{Settings.app_url}/pieces/#{@piece.id}/joins/#{@join.index}",
            **values
          )
        end
        memberships.size
      end

      private

      def memberships
        @memberships ||= begin
          ids = [@join.leaving, @join.entering].filter_map { |placed| placed.section.choreographer }.uniq
          @piece.studio.memberships.where(person_id: ids).where.not(account_id: @except&.id).includes(:account).to_a
        end
      end
    end
  end
end
