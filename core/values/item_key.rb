# frozen_string_literal: true

module Core
  module Values
    # By what a learning item is known in logs and plans: a section, an altered link's difference, a join, the opening
    # or the ending; perhaps of one group, or of one layer. Written as text of version 1; a text of another version
    # would begin with its number and a colon.
    #
    #   ItemKey.section(12).to_s                            # => "s12"
    #   ItemKey.parse("s12@3/arms").layer                   # => "arms"
    class ItemKey < Value.of(:kind, subject: "", group: nil, layer: nil)
      VERSION = 1
      LETTERS = { section: "s", difference: "d", join: "j", opening: "o", ending: "e" }.freeze
      KINDS = LETTERS.invert.freeze
      TEXT = %r{\A(?<letter>[sdjoe])(?<subject>[^@/]*)(?:@(?<group>[^/]+))?(?:/(?<layer>[a-z]+))?\z}
      private_constant :LETTERS, :KINDS, :TEXT

      # Of a section (by id).
      def self.section(id) = new(kind: :section, subject: id.to_s)

      # Of what an altered link differs in (by the link's id).
      def self.difference(link_id) = new(kind: :difference, subject: link_id.to_s)

      # leaving, entering: keys of the edges (Joins::Edge#key).
      def self.join(leaving, entering) = new(kind: :join, subject: "#{leaving}-#{entering}")

      # Of the piece's opening.
      def self.opening = new(kind: :opening)

      # Of its ending.
      def self.ending = new(kind: :ending)

      # A text of version 1 => ItemKey; raises ValueError for anything else.
      def self.parse(text)
        found = TEXT.match(text) || raise(ValueError.new("item key", "is none of version #{VERSION}: #{text.inspect}"))
        new(kind: KINDS.fetch(found[:letter]), subject: found[:subject], group: found[:group], layer: found[:layer])
      end

      # As it is kept and sent: a letter and a subject, then group and layer where there are any.
      def to_s
        "#{LETTERS.fetch(kind)}#{subject}#{"@#{group}" if group}#{"/#{layer}" if layer}"
      end
    end
  end
end
