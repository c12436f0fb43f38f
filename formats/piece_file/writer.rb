# frozen_string_literal: true

module Formats
  module PieceFile
    # Writes a Content as a piece-1 object: only what is there, in a fixed order.
    class Writer
      def initialize(content) = @content = content

      def to_h
        piece = Piece::Writer.new(@content.work).to_h
        {
          **piece,
          "groups" => piece["groups"].map { |group| { **group, **led(group) } },
          "sections" => piece["sections"].map { |section| { **section, **said(section) } },
          "show_date" => @content.show_date&.iso8601,
          "settings" => @content.settings,
          "people" => plain(@content.people),
          "cast" => @content.cast.map { |person, groups| { "person" => person, "groups" => groups } },
          "formations" => @content.formations.map { |each| { **plain_one(each), "spots" => plain(each.spots) } },
          "versions" => plain(@content.versions),
          "version_people" => plain(@content.version_people),
          "agreements" => plain(@content.agreements),
          "join_facts" => plain(@content.join_facts),
          "understudies" => plain(@content.understudies)
        }.reject { |_, value| value.nil? || value == [] || value == {} }
      end

      private

      def led(group) = { "leader" => @content.leaders[group["id"]] }.compact
      def said(section) = @content.section_facts.fetch(section["id"], {})
      def plain(structs) = structs.map { |each| plain_one(each) }

      # Values that are not there, not so or empty are left out.
      def plain_one(struct)
        struct.to_h.transform_keys(&:to_s).transform_values { |value| value.is_a?(Date) ? value.iso8601 : value }
          .reject { |_, value| value.nil? || value == false || value == "" || value == [] }
      end
    end
    private_constant :Writer
  end
end
