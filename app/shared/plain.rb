# frozen_string_literal: true

module App
  module Shared
    # A page that needs only a title.
    class Plain
      attr_reader :title

      def initialize(title:) = @title = title
    end
  end
end
