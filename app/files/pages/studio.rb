# frozen_string_literal: true

module App
  module Files
    module Pages
      # What a studio takes in and gives out as files.
      class Studio
        attr_reader :member

        def initialize(member) = @member = member

        def title = I18n.t("files.title")
        def screen = :home
        def director? = member.director?
        def lists? = director? || member.role == "assistant"
        def pieces = member.studio.pieces.running.order(:title)
        def tables = Tables::OF_STUDIO.keys.map { |name| [name, I18n.t("files.about.#{name.tr('-', '_')}")] }
      end
    end
  end
end
