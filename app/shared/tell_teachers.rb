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
        accounts.each do |account|
          post.send_out(
            to: account.email,
            template:,
            name: account.name,
            piece: @piece.title,
            join: @join.name,
            link: "#{Settings.app_url}/pieces/#{@piece.id}/joins/#{@join.index}",
            **values
          )
        end
        accounts.size
      end

      private

      def accounts
        @accounts ||= begin
          ids = [@join.leaving, @join.entering].filter_map { |placed| placed.section.choreographer }.uniq
          @piece.studio.memberships.where(person_id: ids).includes(:account)
            .map(&:account)
            .reject { |account| account.id == @except&.id }
        end
      end
    end
  end
end
